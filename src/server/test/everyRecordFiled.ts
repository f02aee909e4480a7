import type { FileOwner } from '../../core/contract/recordFiles';
import { connection } from '../connection';
import { bringRecordFile } from '../files/recordFiles';
import { imke } from './imke';

/** Gives each client, project, booking and thing of the demonstration a file of its own. */
export async function everyRecordFiled(): Promise<void> {
  const { models } = connection();
  const owners = await connection().inBusiness(imke.business_id, async () => {
    const keysOf = async (kind: 'client' | 'project' | 'booking' | 'item') =>
      (await (models[kind] as typeof models.client).findAll({
        attributes: kind === 'item' ? ['key', 'client_id' as 'id'] : ['key', 'id'],
        raw: true,
      })) as unknown as { key: string; id?: string; client_id?: string }[];
    const clients = await keysOf('client');
    const keyOf = new Map(clients.map(({ id, key }) => [id, key]));
    const found: FileOwner[] = [];
    for (const kind of ['client', 'project', 'booking'] as const)
      for (const { key } of await keysOf(kind)) found.push({ kind, key });
    for (const { key, client_id } of await keysOf('item'))
      found.push({ kind: 'item', key, client: keyOf.get(client_id)! });
    return found;
  });
  for (const owner of owners) {
    const words = `${owner.kind} ${owner.client ?? ''} ${owner.key}`;
    const { result } = await bringRecordFile(imke, owner, `${owner.kind}.txt`, Buffer.from(words));
    if (result !== 'done') throw new Error(`No file for ${words}`);
  }
}
