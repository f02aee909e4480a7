import type { Streams } from './unusable';

/**
 * Runs a command that npm was asked for by its name.
 * @param command gives the exit code
 */
export async function main(
  name: string,
  command: (argv: string[], streams: Streams) => Promise<number>,
): Promise<void> {
  // npm runs a script in the project's folder; paths are meant from where it was called.
  if (process.env.npm_lifecycle_event === name) process.chdir(process.env.INIT_CWD ?? '.');

  // Whoever reads may stop early, as “head” does.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

  process.exitCode = await command(process.argv.slice(2), {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
  });
}
