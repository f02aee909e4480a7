'use client';

import { useSortable } from '@dnd-kit/sortable';
import type { ListedEntry } from '../../../core/contract/list';
import { withArticle } from '../../../core/fill/formats/article';
import { Icon } from '../../shell/Icon';
import { SIGNS } from '../../shell/signs';

interface Props {
  template: ListedEntry;
  chosen: boolean;
  /** whether it goes along with another that is dragged */
  along: boolean;
  onChoose: (chosen: boolean) => void;
}

/** A template in the contents: chosen with its box, dragged by its handle. */
export function TemplateRow({ template: { key, name, startsFrom }, chosen, along, onChoose }: Props) {
  const { setNodeRef, setActivatorNodeRef, listeners, attributes, isDragging } = useSortable({ id: key });
  const look = [isDragging && 'is-dragged', along && 'goes-along'].filter(Boolean).join(' ');
  return (
    <li ref={setNodeRef} className={`contents-row ${look}`}>
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={`Choose ${name}`}
        checked={chosen}
        onChange={(event) => onChoose(event.target.checked)}
      />
      <span className="contents-name">
        {name}
        <span className="entry-note">from {withArticle(startsFrom)}</span>
      </span>
      <button
        ref={setActivatorNodeRef}
        type="button"
        className="handle"
        title="Drag to another place"
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
      >
        <Icon sign={SIGNS['grip-vertical']} />
      </button>
    </li>
  );
}
