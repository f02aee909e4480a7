import { BaseError, ConnectionError } from 'sequelize';

/** What the server says while it stops, starts or has no room (PostgreSQL, Appendix A: classes 57P and 53). */
const AWAY = /^(?:57P0\d|53\d{3}|08\w{3})$/;

/** Whether something failed because the database does not answer at the moment. */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  if (!(error instanceof BaseError)) return false;
  const { code, message } = (error as { parent?: { code?: string; message?: string } }).parent ?? {};
  return (
    AWAY.test(code ?? '') ||
    /^(?:ECONN|EPIPE)/.test(code ?? '') ||
    /Connection terminated/.test(message ?? '')
  );
}
