import { checkHealth } from '../../server/checkHealth';

/** 200 while the database answers and a worker is there to send, 503 otherwise; the body tells which. */
export async function GET(): Promise<Response> {
  const health = await checkHealth();
  const well = health.database === 'answers' && health.worker === 'seen';
  return Response.json(health, { status: well ? 200 : 503 });
}
