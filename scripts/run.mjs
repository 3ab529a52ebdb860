import { spawn } from 'node:child_process';
import { knownFault, Plain } from './steps.mjs';

/**
 * Runs a program to its end and gives its output; a failure is a sentence.
 * `show`: its output goes to the screen as it comes.
 */
export function run(command, args, { cwd, env, show = false, fault } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: show ? 'inherit' : ['ignore', 'pipe', 'pipe'] });
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    child.on('error', (error) => reject(new Plain(error.code === 'ENOENT' ? `The program "${command}" is not on this machine.` : error.message)));
    child.on('close', (code) => {
      if (code === 0) return resolve(output);
      const tail = output.trim().split('\n').slice(-12).join('\n');
      reject(Object.assign(new Plain(knownFault(output) ?? `${fault ?? `${command} failed`}.${tail ? `\n${tail}` : ''}`), { exitCode: code }));
    });
  });
}
