import type { CopyDocument } from '../document/copyDocument';
import { fairCopyOf } from '../fairCopy/fairCopy';
import { compileTemplate, type CompiledTemplate } from '../fill/compileTemplate';
import type { CompileContext } from '../fill/compile/newScope';
import type { Hole } from '../fill/filled';
import type { Situation } from '../records/which/situation';
import type { Letterhead, TemplateHead } from '../template/template';

/** What stands around a letter: filled as it is, and changed by nobody who writes one. */
export interface Around {
  top?: CopyDocument;
  foot?: CopyDocument;
  /** what is missing in it */
  holes: Hole[];
}

/** Fills the letterhead of a business for its letters. It is compiled once for each kind of template and language. */
export class LetterheadFiller {
  private readonly compiled = new Map<string, CompiledTemplate | undefined>();

  constructor(
    private readonly letterhead: Letterhead,
    private readonly context: CompileContext,
  ) {}

  /** What stands around a letter from a template; undefined where its head wants none, or there is none. */
  around(head: TemplateHead, situation: Situation): Around | undefined {
    if (head.letterhead === 'none' || head.kind === 'text') return undefined;
    const around: Around = { holes: [] };
    for (const part of ['top', 'foot'] as const) {
      const compiled = this.compile(part, head);
      if (!compiled) continue;
      const { document, holes } = fairCopyOf(compiled, situation);
      around[part] = { ...document, content: document.content.filter(({ type }) => type !== 'subject') };
      around.holes.push(...holes);
    }
    return around.top || around.foot ? around : undefined;
  }

  private compile(
    part: 'top' | 'foot',
    { startsFrom, language }: TemplateHead,
  ): CompiledTemplate | undefined {
    const document = this.letterhead[part];
    if (!document?.content.length) return undefined;
    const key = `${part} ${startsFrom} ${language ?? ''}`;
    if (!this.compiled.has(key)) {
      const head = {
        name: 'letterhead',
        group: '',
        startsFrom,
        subject: [],
        ...(language === undefined ? {} : { language }),
      };
      this.compiled.set(key, compileTemplate({ head, document }, { ...this.context, key }).compiled);
    }
    return this.compiled.get(key);
  }
}
