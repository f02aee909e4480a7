import { STYLES, type Style } from '../../document/document';
import { didYouMean } from '../../problems/nearest';

/** What stands in `{.large .madder width=240 link=…}`; an address keeps its placeholders. */
export interface Attributes {
  styles: Style[];
  /** `.bold` and `.italic`, for where asterisks cannot stand */
  weights: ('bold' | 'italic')[];
  button: boolean;
  width?: number;
  link?: string;
}

const PART = /\s*(?:\.([\w-]+)|([\w-]+)=(?:"([^"]*)"|([^\s"}]*))|([^\s}]+))/gy;

/** Reads an attribute list, braces included; the messages of what is wrong instead when anything is. */
export function readAttributes(raw: string, on: 'words' | 'link' | 'image' | 'block'): Attributes | string[] {
  const attributes: Attributes = { styles: [], weights: [], button: false };
  const wrong: string[] = [];
  for (const [, style, key, quoted, bare, other] of raw.slice(1, -1).matchAll(PART)) {
    if (style) readStyle(style);
    else if (key) readValue(key, quoted ?? bare ?? '');
    else wrong.push(`“${other}” is no attribute; they are written as {.large} or {width=240}.`);
  }
  return wrong.length ? wrong : attributes;

  function readStyle(name: string) {
    if (name === 'button' && on === 'link') attributes.button = true;
    else if ((name === 'bold' || name === 'italic') && on === 'words') attributes.weights.push(name);
    else if ((STYLES as readonly string[]).includes(name)) attributes.styles.push(name as Style);
    else if (name === 'button') wrong.push('Only a link can be a button: [Pay now](address){.button}.');
    else {
      const near = didYouMean(name, STYLES, '.');
      wrong.push(`There is no style “.${name}”; there are ${STYLES.map((s) => `.${s}`).join(' ')}.${near}`);
    }
  }

  function readValue(key: string, value: string) {
    if (on !== 'image' || (key !== 'width' && key !== 'link')) {
      wrong.push(`“${key}=” does not belong here; only an image takes width= and link=.`);
    } else if (key === 'link') attributes.link = value;
    else if (/^[1-9]\d{0,3}$/.test(value)) attributes.width = Number(value);
    else wrong.push(`The width of an image is a whole number up to 9999, not “${value}”.`);
  }
}

/** Writes attributes as readAttributes reads them; an empty list is nothing. */
export function printAttributes({ styles, button, width, link }: Partial<Attributes>): string {
  const parts = [
    ...(button ? ['.button'] : []),
    ...(styles ?? []).map((style) => `.${style}`),
    ...(width === undefined ? [] : [`width=${width}`]),
    ...(link === undefined ? [] : [/[\s"}]/.test(link) ? `link="${link}"` : `link=${link}`]),
  ];
  return parts.length ? `{${parts.join(' ')}}` : '';
}
