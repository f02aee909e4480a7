import { runFill } from './fill/runFill';

process.exitCode = await runFill(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
});
