import { checkHealth } from '../../server/checkHealth';

/** 200 while the database answers, 503 otherwise. */
export async function GET(): Promise<Response> {
  const health = await checkHealth();
  return Response.json(health, { status: health.database === 'answers' ? 200 : 503 });
}
