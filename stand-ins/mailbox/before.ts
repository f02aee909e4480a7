import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Letters } from './letters';

/** What servers write before a message when they put it into a mailbox. */
const TRACE = /^(?:(?:Return-Path|Delivered-To):[^\r\n]*\r?\n)+/;

/**
 * Puts the letters into the mailboxes that had arrived before this was started, by the messages of a folder: each says on
 * its first lines who gave it over and to whom. None where there is no such folder.
 */
export async function takeBefore(letters: Letters, folder: string): Promise<void> {
  const names = await readdir(folder).catch(() => []);
  for (const name of names.filter((one) => one.endsWith('.eml')).sort()) {
    const raw = await readFile(path.join(folder, name));
    // What is in the trace is ASCII: its length is the same in bytes.
    const [trace = ''] = TRACE.exec(raw.toString('latin1')) ?? [];
    const of = (header: string) =>
      [...trace.matchAll(new RegExp(`^${header}:\\s*<?([^<>\\s]+)`, 'gm'))].map(([, address]) => address!);
    const [from = ''] = of('Return-Path');
    await letters.take(raw.subarray(trace.length), { from, to: of('Delivered-To') }, true);
  }
}
