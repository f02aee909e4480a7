import type { Database } from '../../database';

/**
 * The end of a statement that has changed letters in a common table expression: adds to what became of each.
 * @param changed the expression's name, with business_id, id and status
 * @param detail what is said of it, in SQL; the moment is bound as $at
 */
export function addingEvents(changed: string, detail: string): string {
  return `insert into delivery_event (business_id, message_id, position, kind, at, detail)
    select business_id, id, (select coalesce(max(position) + 1, 0) from delivery_event
      where delivery_event.business_id = ${changed}.business_id and message_id = id), status, $at, ${detail}
    from ${changed}`;
}

/** Adds to what became of a letter. */
export async function addEvent(
  { sequelize }: Pick<Database, 'sequelize'>,
  { business_id, id }: { business_id: string; id: string },
  kind: string,
  at: Date,
  detail: string | undefined,
): Promise<void> {
  await sequelize.query(
    `with changed as (select $business_id::uuid as business_id, $id::uuid as id, $kind::text as status)
     ${addingEvents('changed', '$detail')}`,
    { bind: { business_id, id, kind, at, detail: detail ?? null } },
  );
}
