import { spawn } from 'node:child_process';

/**
 * Runs a command to its end and gathers what it prints.
 * @returns {Promise<{code: number, output: string}>} code -1 when there is no such command
 */
export function command(program, args, options = {}) {
  const { show = false, ...rest } = options;
  return new Promise((resolve) => {
    const child = spawn(program, args, { stdio: ['ignore', 'pipe', 'pipe'], ...rest });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream.on('data', (data) => {
        output += data;
        if (show) process.stdout.write(data);
      });
    }
    child.on('error', () => resolve({ code: -1, output }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}
