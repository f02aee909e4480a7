import path from 'node:path';
import PdfPrinter from 'pdfmake';
import { RecordBook } from '../../core/records/recordBook';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { invoiceDefinition } from './invoiceDefinition';

/** A paper ready to be sent or kept. */
export interface Paper {
  name: string;
  content: Buffer;
}

const FONTS = path.join(process.cwd(), 'node_modules', '@expo-google-fonts', 'literata');
const font = (face: string) => path.join(FONTS, face, `Literata_${face}.ttf`);

/** Fonts that hold Latin, Greek and Cyrillic whole. */
const PRINTER = new PdfPrinter({
  Literata: {
    normal: font('400Regular'),
    bold: font('600SemiBold'),
    italics: font('400Regular_Italic'),
    bolditalics: font('600SemiBold_Italic'),
  },
});

/** An invoice as a PDF. Undefined: there is no such invoice. */
export const invoicePaper = forMember(
  async ({ business_id }: CurrentMember, key: string): Promise<Paper | undefined> => {
    const database = connection();
    const start = { kind: 'invoice', key } as const;
    const record = await startingRecord(database, business_id, start);
    if (!record) return undefined;
    const records = await recordsOfBusiness(database, business_id, scopeFrom(start, record));
    const book = new RecordBook(records!, now());
    const invoice = book.invoices.get(key)!;
    const { logo } = book.business;
    const picture = logo ? (await picturesOfBusiness(database, business_id, [logo])).get(logo) : undefined;
    // No other picture goes into a PDF.
    const shown = picture && /^image\/(?:png|jpeg)$/.test(picture.type) ? picture : undefined;
    const image = shown && `data:${shown.type};base64,${shown.content.toString('base64')}`;
    const content = await printed(invoiceDefinition(book, invoice, image));
    return { name: `${(invoice.number ?? `draft ${key}`).replace(/[^\p{L}\p{N} ._-]/gu, '-')}.pdf`, content };
  },
);

async function printed(definition: ReturnType<typeof invoiceDefinition>): Promise<Buffer> {
  const document = PRINTER.createPdfKitDocument(definition);
  const chunks: Buffer[] = [];
  return new Promise((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
    document.end();
  });
}
