import type { Node } from 'mdast';
import type { Extension as FromMarkdown } from 'mdast-util-from-markdown';
import { markdownLineEnding, markdownSpace } from 'micromark-util-character';
import type { Code, Construct, Effects, Extension, State } from 'micromark-util-types';

/** A placeholder alone on its line, as a node among blocks. */
interface TagLine extends Node {
  type: 'tagLine';
  value: string;
}

declare module 'mdast' {
  interface RootContentMap {
    tagLine: TagLine;
  }
  interface BlockContentMap {
    tagLine: TagLine;
  }
}

declare module 'micromark-util-types' {
  interface TokenTypeMap {
    tagLine: 'tagLine';
  }
}

/** The UTF-16 high surrogates of Unicode's last plane. */
const HIGH_FIRST = 0xdbc0;
const HIGH_LAST = 0xdbff;

/**
 * Lets a line that holds nothing but a placeholder be a block of its own, which also ends a paragraph or a list
 * item before it.
 * @param isBlock whether the placeholder stands for something that may be one
 */
export function tagLineSyntax(isBlock: (placeholder: string) => boolean): Extension {
  const construct: Construct = { name: 'tagLine', tokenize };
  const flow: Record<number, Construct> = {};
  for (let code = HIGH_FIRST; code <= HIGH_LAST; code++) flow[code] = construct;
  return { flow };

  function tokenize(effects: Effects, ok: State, nok: State): State {
    let high = 0;
    return (code) => {
      high = code!;
      effects.enter('tagLine');
      effects.consume(code);
      return low;
    };

    function low(code: Code): State | undefined {
      if (code === null || !isBlock(String.fromCharCode(high, code))) return nok(code);
      effects.consume(code);
      effects.exit('tagLine');
      return after;
    }

    function after(code: Code): State | undefined {
      if (code === null || markdownLineEnding(code)) return ok(code);
      if (!markdownSpace(code)) return nok(code);
      effects.enter('whitespace');
      effects.consume(code);
      return space;
    }

    function space(code: Code): State | undefined {
      if (markdownSpace(code)) {
        effects.consume(code);
        return space;
      }
      effects.exit('whitespace');
      return code === null || markdownLineEnding(code) ? ok(code) : nok(code);
    }
  }
}

/** Makes a node of a tag that stands alone on its line (mdast-util-from-markdown). */
export const tagLineFromMarkdown: FromMarkdown = {
  enter: {
    tagLine(token) {
      this.enter({ type: 'tagLine', value: this.sliceSerialize(token) }, token);
    },
  },
  exit: {
    tagLine(token) {
      this.exit(token);
    },
  },
};
