import type { Database } from '../data/database';

/**
 * A business by its key, for the command line.
 * @param key may be left out where there is only one
 * @throws Error with a sentence when there is none, or several to choose from
 */
export async function businessByKey(
  { models }: Database,
  key: string | undefined,
): Promise<{ id: string; name: string }> {
  const found = (await models.business.findAll({
    attributes: ['id', 'key', 'name'],
    ...(key === undefined ? {} : { where: { key } }),
    raw: true,
  })) as unknown as { id: string; key: string; name: string }[];
  const [only] = found;
  if (!only)
    throw new Error(key === undefined ? 'There is no business yet.' : `There is no business “${key}”.`);
  if (found.length > 1)
    throw new Error(
      `There are several businesses: name one with --business, of ${found.map((one) => one.key).join(', ')}.`,
    );
  return only;
}
