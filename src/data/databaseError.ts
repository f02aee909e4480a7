import { ConnectionError, DatabaseError } from 'sequelize';

/** A database's error as a sentence for whoever started the application; any other error as it is. */
export function inSentence(error: unknown): Error {
  if (error instanceof ConnectionError) {
    return new Error(
      `The database cannot be reached (${error.message}). Look at DATABASE_URL, or leave it out.`,
      {
        cause: error,
      },
    );
  }
  if (error instanceof DatabaseError && /No space left|disk full/i.test(error.message)) {
    return new Error('The disk is full: the database cannot write. Make room and start again.', {
      cause: error,
    });
  }
  if (error instanceof DatabaseError) {
    return new Error(
      `The database refused: ${error.message}. If it is broken, restore it or use another one.`,
      {
        cause: error,
      },
    );
  }
  return error instanceof Error ? error : new Error(String(error));
}
