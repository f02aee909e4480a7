import type { Database } from '../../database';

/** Whoever makes clients of a business waits for others who do: nobody is made twice. Held until the transaction ends. */
export async function lockClients(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
): Promise<void> {
  await sequelize.query("select pg_advisory_xact_lock(hashtextextended('clients ' || $business_id, 0))", {
    bind: { business_id },
  });
}
