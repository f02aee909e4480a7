import { connection } from './connection';

/** Whether the application can work. */
export async function checkHealth(): Promise<{ database: 'answers' | 'silent' }> {
  try {
    await connection().sequelize.query('select 1');
    return { database: 'answers' };
  } catch {
    return { database: 'silent' };
  }
}
