import type { Sequelize } from 'sequelize';

/** What the application's own role may do in each schema: read and write rows, and nothing about what tables there are. */
const SCHEMAS = ['public', 'pgboss'];

/**
 * Gives the application's role what it needs, and no more; made anew after every migration.
 * @param role an existing role that owns nothing here
 */
export async function grantTo(sequelize: Sequelize, role: string): Promise<void> {
  const name = `"${role.replaceAll('"', '""')}"`;
  for (const schema of SCHEMAS) {
    await sequelize.query(`grant usage on schema ${schema} to ${name};
      grant select, insert, update, delete on all tables in schema ${schema} to ${name};
      grant usage on all sequences in schema ${schema} to ${name};
      grant execute on all functions in schema ${schema} to ${name}`);
  }
  await sequelize.query(`revoke create on schema public from public;
    revoke insert, update, delete on migration from ${name}`);
}
