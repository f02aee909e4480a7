import { Extension } from '@tiptap/core';
import { history, redo, undo } from '@tiptap/pm/history';

/** Undo and redo, and their keys. */
export const PageHistory = Extension.create({
  name: 'history',
  addProseMirrorPlugins: () => [history()],
  addKeyboardShortcuts() {
    // Handled even when there is nothing to undo or redo: another key must not take it up.
    const run = (command: typeof undo) => () => (command(this.editor.state, this.editor.view.dispatch), true);
    return { 'Mod-z': run(undo), 'Mod-y': run(redo), 'Shift-Mod-z': run(redo) };
  },
});
