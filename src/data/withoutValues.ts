import { BaseError } from 'sequelize';

/** What an error of the database carries of a query and of rows. */
const TELLING = ['sql', 'parameters', 'detail', 'where', 'internalQuery', 'value', 'errors', 'fields'];

/**
 * An error of the database without the values that were asked with or kept: errors are written into logs, and letters
 * are not.
 */
export function withoutValues(error: unknown): unknown {
  if (!(error instanceof BaseError)) return error;
  const { parent, original } = error as { parent?: object; original?: object };
  for (const one of new Set([error, parent, original])) {
    for (const name of TELLING) if (one && name in one) Reflect.set(one, name, undefined);
    if (one instanceof Error) {
      // “invalid input syntax for type uuid: "…"” (class 22 of PostgreSQL’s Appendix A) says the value behind a colon.
      const bare = one.message.replace(/: "[\s\S]*$/, '');
      one.stack = one.stack?.replace(one.message, bare);
      one.message = bare;
    }
  }
  return error;
}
