import { autocompletion, completionKeymap, type CompletionContext } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { lintGutter, setDiagnostics } from '@codemirror/lint';
import { Annotation, Compartment, EditorState } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import type { Completions } from '../../../core/fields/completions';
import type { Problem } from '../../../core/problems/problem';

export interface WordsEditorOptions {
  /** what says what is wrong, by its id */
  describedBy: string;
  typed: (text: string) => void;
  keep: () => void;
  turn: () => void;
  /** what the line up to the cursor may go on with */
  complete: (line: string) => Completions | undefined;
}

/** Of a change that only shows what was changed elsewhere. */
const SHOWN = Annotation.define<true>();

/** A template's text form as it is written: with numbers at its lines, and what is wrong marked where it stands. */
export class WordsEditor {
  private readonly view: EditorView;
  private readonly wrong = new Compartment();

  constructor(parent: HTMLElement, text: string, options: WordsEditorOptions) {
    const { typed, keep, turn, complete, describedBy } = options;
    this.view = new EditorView({
      parent,
      state: EditorState.create({
        doc: text,
        extensions: [
          // Its own style sheet is let in by the page's nonce.
          EditorView.cspNonce.of(document.querySelector<HTMLElement>('script[nonce]')?.nonce ?? ''),
          lineNumbers(),
          lintGutter(),
          history(),
          EditorView.lineWrapping,
          autocompletion({ override: [(context) => completed(context, complete)], icons: false }),
          keymap.of([
            { key: 'Mod-Enter', run: () => (keep(), true) },
            { key: 'Mod-Shift-Enter', run: () => (turn(), true) },
            ...completionKeymap,
            ...historyKeymap,
            ...defaultKeymap,
          ]),
          this.wrong.of([]),
          EditorView.contentAttributes.of({
            'aria-label': 'Head and words',
            'aria-describedby': describedBy,
            spellcheck: 'true',
          }),
          EditorView.updateListener.of(({ docChanged, state, transactions }) => {
            if (docChanged && !transactions.some((one) => one.annotation(SHOWN))) typed(state.doc.toString());
          }),
        ],
      }),
    });
  }

  /** Shows another text, where it was changed elsewhere. */
  show(text: string): void {
    const { state } = this.view;
    if (state.doc.toString() !== text)
      this.view.dispatch({
        changes: { from: 0, to: state.doc.length, insert: text },
        annotations: SHOWN.of(true),
      });
  }

  /** Marks what is wrong, each at its line. */
  mark(problems: readonly Problem[]): void {
    const { state } = this.view;
    const diagnostics = problems.map(({ line, column, message }) => {
      const at = state.doc.line(Math.min(Math.max(line, 1), state.doc.lines));
      const from = Math.min(at.from + Math.max(column - 1, 0), at.to);
      return { from, to: at.to, severity: 'error' as const, message };
    });
    this.view.dispatch(setDiagnostics(state, diagnostics), {
      effects: this.wrong.reconfigure(
        EditorView.contentAttributes.of({ 'aria-invalid': String(problems.length > 0) }),
      ),
    });
  }

  /** Goes to a line, and chooses it whole. */
  goTo(line: number): void {
    const { doc } = this.view.state;
    const { from, to } = doc.line(Math.min(Math.max(line, 1), doc.lines));
    this.view.dispatch({ selection: { anchor: from, head: to }, scrollIntoView: true });
    this.view.focus();
  }

  destroy(): void {
    this.view.destroy();
  }
}

function completed({ state, pos, explicit }: CompletionContext, complete: WordsEditorOptions['complete']) {
  const line = state.doc.lineAt(pos);
  const found = complete(line.text.slice(0, pos - line.from));
  if (!found || (!explicit && found.words.length === 0)) return null;
  return {
    from: line.from + found.from,
    options: found.words.map(({ word, says }) => ({ label: word, ...(says ? { detail: says } : {}) })),
    validFor: /^[\w. ]*$/,
  };
}
