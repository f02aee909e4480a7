'use client';

import {
  closestCorners,
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type DragOverEvent,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import Link from 'next/link';
import { useId, useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { WITHOUT_GROUP, type GroupedTemplates } from '../../../core/contract/list';
import type { PlaceAmong } from '../../../core/template/moveTemplates';
import { GroupBar } from './GroupBar';
import { MakeGroup } from './MakeGroup';
import { TemplateRow } from './TemplateRow';
import { useArrangement, type KeyedGroup } from './useArrangement';

/** A place to drop on is a template or a whole group: "group visits". */
const GROUP = 'group ';
const NEW_GROUP = ' new';

/** The templates under their groups as the contents of a book, to be put in another order. */
export function ArrangeTemplates({ groups: given }: { groups: readonly GroupedTemplates[] }) {
  // What has no group has a place, too, even where there is none.
  const all = useMemo(
    () => (given.some(({ key }) => key === '') ? given : [...given, { ...WITHOUT_GROUP, templates: [] }]),
    [given],
  );
  const { groups, templates, preview, letGo, move, shift, add, tell, last, trouble } = useArrangement(all);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [dragged, setDragged] = useState<string>();
  const [making, setMaking] = useState(false);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const nameOf = (key: unknown) =>
    templates.get(String(key))?.name ?? groupOf(groups, String(key))?.name ?? '';
  /** what goes along: all that are chosen, where one of them is dragged */
  const moving = (key: string) => (chosen.has(key) ? chosen : new Set([key]));

  function over({ active, over: target }: DragOverEvent) {
    const place = target && placeOf(groups, String(active.id), String(target.id));
    if (place) preview(new Set([String(active.id)]), place);
  }

  function drop(key: string) {
    setDragged(undefined);
    // Where it was shown last is where it is put; those that are chosen with it stand beside it.
    const group = groups.find((one) => one.templates.includes(key));
    if (!group) return letGo();
    const along = moving(key);
    const before = group.templates.slice(group.templates.indexOf(key) + 1).find((one) => !along.has(one));
    move(along, { group: group.key, ...(before === undefined ? {} : { before }) });
    setChosen(new Set());
  }

  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active }) => {
      const group = groups.find((one) => one.templates.includes(String(active.id)));
      return (
        group &&
        `${nameOf(active.id)} is at ${group.templates.indexOf(String(active.id)) + 1} of ${group.templates.length} in ${group.name}.`
      );
    },
    onDragEnd: ({ active }) => `${nameOf(active.id)} is put down.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} is back where it was.`,
  };

  return (
    <article className="paper arrange" aria-labelledby="arrange-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="arrange-title">Arrange the templates</h1>
        <p>
          Drag a template by its handle, or choose several and say where they go. With the keyboard: Space
          picks one up, the arrows move it, Space puts it down.
        </p>
        <p>
          <Link href="/templates/rights" prefetch={false}>
            Who may change them
          </Link>
        </p>
      </div>
      <DndContext
        id="arrange"
        sensors={sensors}
        collisionDetection={closestCorners}
        accessibility={{
          announcements,
          screenReaderInstructions: {
            draggable:
              'Press Space to pick it up, the arrow keys to move it, Space to put it down, Escape to leave it.',
          },
        }}
        onDragStart={({ active }) => setDragged(String(active.id))}
        onDragOver={over}
        onDragEnd={({ active }) => drop(String(active.id))}
        onDragCancel={() => {
          setDragged(undefined);
          letGo();
        }}
      >
        {groups.map((group, at) => (
          <section key={group.key} className="contents-group" aria-label={group.name}>
            <GroupBar
              group={{ ...group, templates: group.templates.flatMap((key) => templates.get(key) ?? []) }}
              others={all.filter(({ key }) => key !== '' && key !== group.key)}
              isFirst={at === 0}
              isLast={at >= groups.length - 2}
              onShift={(by) => shift(group.key, by)}
              onDone={tell}
            />
            <SortableContext items={[...group.templates]} strategy={verticalListSortingStrategy}>
              <GroupList group={group}>
                {group.templates.map((key) => {
                  const template = templates.get(key);
                  return (
                    template && (
                      <TemplateRow
                        key={key}
                        template={template}
                        chosen={chosen.has(key)}
                        along={
                          dragged !== undefined && dragged !== key && chosen.has(dragged) && chosen.has(key)
                        }
                        onChoose={(is) =>
                          setChosen((before) => {
                            const next = new Set(before);
                            if (is) next.add(key);
                            else next.delete(key);
                            return next;
                          })
                        }
                      />
                    )
                  );
                })}
              </GroupList>
            </SortableContext>
          </section>
        ))}
      </DndContext>
      <div className="contents-new">
        <MakeGroup
          key={String(making)}
          button="Make it"
          autoFocus={making}
          onMade={(group) => {
            add(group, making ? chosen : new Set());
            if (making) setChosen(new Set());
            setMaking(false);
          }}
        />
      </div>
      <div
        className="letter-foot arrange-foot"
        data-idle={chosen.size === 0 && !last && !trouble ? '' : undefined}
      >
        {chosen.size > 0 && (
          <MoveTo
            count={chosen.size}
            groups={groups}
            onMove={(group) => {
              if (group === NEW_GROUP) return setMaking(true);
              move(chosen, { group });
              setChosen(new Set());
            }}
            onClear={() => setChosen(new Set())}
          />
        )}
        <p className="foot-words" role="status">
          {last?.words}{' '}
          {last?.undo && (
            <button type="button" className="btn btn-link" onClick={last.undo}>
              Undo
            </button>
          )}
        </p>
        {trouble && (
          <p className="trouble" role="alert">
            {trouble}
          </p>
        )}
      </div>
    </article>
  );
}

function GroupList({ group, children }: { group: KeyedGroup; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: GROUP + group.key });
  return (
    <ul ref={setNodeRef} className={isOver ? 'is-over' : undefined}>
      {children}
      {group.templates.length === 0 && <li className="hint">Nothing stands here. Drop a template here.</li>}
    </ul>
  );
}

interface MoveToProps {
  count: number;
  groups: readonly KeyedGroup[];
  onMove: (group: string) => void;
  onClear: () => void;
}

/** Says where the chosen templates go, without dragging. */
function MoveTo({ count, groups, onMove, onClear }: MoveToProps) {
  const id = useId();
  return (
    <div className="move-to">
      <Form.Label htmlFor={id}>
        {count === 1 ? 'The chosen one goes to' : `The ${count} chosen go to`}
      </Form.Label>
      <Form.Select id={id} value="?" onChange={(event) => onMove(event.target.value)}>
        <option value="?" disabled>
          Choose a group
        </option>
        {groups.map(({ key, name }) => (
          <option key={key} value={key}>
            {key === '' ? 'no group' : name}
          </option>
        ))}
        <option value={NEW_GROUP}>A new group …</option>
      </Form.Select>
      <button type="button" className="btn btn-link" onClick={onClear}>
        Choose none
      </button>
    </div>
  );
}

function groupOf(groups: readonly KeyedGroup[], id: string): KeyedGroup | undefined {
  return groups.find((group) => id === GROUP + group.key || group.templates.includes(id));
}

/** Where a template is shown that is dragged over another, or over a group; undefined where it is already. */
function placeOf(groups: readonly KeyedGroup[], key: string, target: string): PlaceAmong | undefined {
  const group = groupOf(groups, target);
  if (!group || target === key) return undefined;
  const isHere = group.templates.includes(key);
  if (target === GROUP + group.key) return isHere ? undefined : { group: group.key };
  // Over one that stands behind it, it comes behind that one.
  const at = group.templates.indexOf(target);
  const from = group.templates.indexOf(key);
  const before = isHere && from < at ? group.templates[at + 1] : target;
  return { group: group.key, ...(before === undefined ? {} : { before }) };
}
