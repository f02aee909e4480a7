import { cleanPasted } from './cleanPasted';

/** What is told of what was pasted. */
export interface PastingEvents {
  /** what of it a letter may not contain, in words; none: all of it is there */
  leftOut: (what: readonly string[]) => void;
  /** a picture came along; absent where none can stand */
  bring?: (file: File) => void;
}

/** Makes what is pasted plain before a page reads it; what was copied from a page of ours is as it is. */
export function pasting({ leftOut, bring }: PastingEvents): (html: string) => string {
  return (html) => {
    if (html.includes('data-pm-slice')) return html;
    const pasted = cleanPasted(html);
    const lost = bring || pasted.pictures.length === 0 ? [] : [picturesInWords(pasted.pictures.length)];
    leftOut([...pasted.leftOut, ...lost]);
    // They follow the words they came with.
    if (bring) setTimeout(() => pasted.pictures.forEach((source, i) => bring(fileOf(source, i))));
    return pasted.html;
  };
}

function picturesInWords(count: number): string {
  return count === 1 ? 'a picture' : `${count} pictures`;
}

/** A picture that was written into an address (RFC 2397). */
function fileOf(source: string, place: number): File {
  const [, type = '', content = ''] = /^data:([^;]+);base64,(.*)$/s.exec(source) ?? [];
  const bytes = Uint8Array.from(decoded(content), (letter) => letter.charCodeAt(0));
  return new File([bytes], `picture ${place + 1}`, { type });
}

/** What is no base64 is no picture either: the server says so. */
function decoded(content: string): string {
  try {
    return atob(content);
  } catch {
    return '';
  }
}
