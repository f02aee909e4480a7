import path from 'node:path';
import type { KeptPictures } from '../../core/adopting/foreignPictures';

/** Keeps pictures that come along, and knows those that are here. */
export interface PictureKeeper {
  /** undefined: it is none, or there is no room for it */
  keep: (content: Buffer) => Promise<{ sha256: string; width: number } | undefined>;
  /** those of a list that the business has, by what they are named */
  here: (sha256: readonly string[]) => Promise<KeptPictures>;
}

/** What a picture’s content is found by: how the text names it. */
export type ContentOf = (source: string) => Buffer | undefined;

/** More pictures of one text are not looked at. */
const MOST_PICTURES = 100;

/** Keeps the pictures of a text that came along with it. @param keeper absent: none is kept */
export async function keptPictures(
  sources: readonly string[],
  contentOf: ContentOf,
  keeper: PictureKeeper | undefined,
): Promise<KeptPictures> {
  const kept = new Map<string, { sha256: string; width: number }>();
  if (!keeper) return kept;
  const named = [...new Set(sources)].slice(0, MOST_PICTURES);
  const here = await keeper.here(named.filter((source) => /^[0-9a-f]{64}$/.test(source)));
  for (const source of named) {
    const content = here.has(source) ? undefined : contentOf(source);
    const picture = here.get(source) ?? (content && (await keeper.keep(content)));
    if (picture) kept.set(source, picture);
  }
  return kept;
}

/** The files of a zip as the pictures of one of them: by the way from there, or as those are that we put in. */
export function picturesBeside(
  name: string,
  entries: ReadonlyMap<string, Buffer>,
  stems: ReadonlyMap<string, Buffer>,
): ContentOf {
  return (source) => {
    const way = /^[a-z]+:/i.test(source) ? undefined : plainWay(source);
    if (way === undefined) return undefined;
    const from = path.posix.join(path.posix.dirname(name), way);
    return entries.get(from) ?? entries.get(way.replace(/^[./]+/, '')) ?? stems.get(`pictures/${source}`);
  };
}

function plainWay(source: string): string | undefined {
  try {
    return decodeURIComponent(source.replace(/[?#].*$/, ''));
  } catch {
    return undefined;
  }
}

/** Pictures that stand in a page as text (RFC 2397), taken out of it. */
export function withoutDataPictures(html: string): { html: string; contentOf: ContentOf; all: Buffer[] } {
  const found: string[] = [];
  const bare = html.replace(
    /data:image\/[a-z0-9.+-]{1,40};base64,([A-Za-z0-9+/=\s]+)/gi,
    (_, content: string) => `data:${found.push(content)}`,
  );
  const all = found.map((content) => Buffer.from(content, 'base64'));
  return {
    html: bare,
    all,
    contentOf: (source) => {
      const number = /^data:(\d+)$/.exec(source)?.[1];
      return number === undefined ? undefined : all[Number(number) - 1];
    },
  };
}
