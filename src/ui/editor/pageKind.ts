/** What is written on a page in pencil. A signature is lines, pictures and links alone; a template alone has a subject. */
export type PageKind = 'template' | 'passage' | 'signature' | 'letterhead' | 'shorthand';
