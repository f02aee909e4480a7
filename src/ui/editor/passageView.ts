import type { NodeViewRenderer } from '@tiptap/core';
import { DOMSerializer } from '@tiptap/pm/model';
import { toEditor } from './structures';
import { RENAMED } from './structureView';
import type { PagePencil } from './templateLooks';

/** A passage shown in place: its name, and its words, which are changed on a page of their own. */
export function passageView(pencil: PagePencil): NodeViewRenderer {
  return ({ node, editor }) => {
    const dom = document.createElement('div');
    dom.className = 'passage';
    dom.contentEditable = 'false';
    const draw = () => {
      const key = node.attrs.passage as string;
      const passage = pencil.current.passages.get(key);
      const name = document.createElement('span');
      name.className = 'passage-name';
      name.textContent = `${passage?.name ?? key} · passage`;
      dom.replaceChildren(name);
      if (!passage?.document.content.length) return;
      const { content } = editor.schema.nodeFromJSON({ ...toEditor(passage.document), type: 'styled' });
      dom.append(DOMSerializer.fromSchema(editor.schema).serializeFragment(content));
    };
    draw();
    dom.addEventListener(RENAMED, draw);
    return { dom, ignoreMutation: () => true };
  };
}
