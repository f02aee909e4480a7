import path from 'node:path';
import PdfPrinter from 'pdfmake';
import type { RecordBook } from '../../core/records/recordBook';
import type { InvoiceData } from '../../core/records/recordsFile';
import { invoiceDefinition } from './invoiceDefinition';

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

/** An invoice as a PDF. @param logo the business's; what is no PNG or JPEG picture is left out */
export async function printInvoice(
  book: RecordBook,
  invoice: InvoiceData,
  logo?: { type: string; content: Buffer },
): Promise<Buffer> {
  // No other picture goes into a PDF.
  const shown = logo && /^image\/(?:png|jpeg)$/.test(logo.type) ? logo : undefined;
  const image = shown && `data:${shown.type};base64,${shown.content.toString('base64')}`;
  const document = PRINTER.createPdfKitDocument(invoiceDefinition(book, invoice, image));
  const chunks: Buffer[] = [];
  return new Promise((resolve, reject) => {
    document.on('data', (chunk: Buffer) => chunks.push(chunk));
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
    document.end();
  });
}
