import { spawn, spawnSync } from 'node:child_process';

/** Thrown where a person has to do something first; the message says what. */
export class SetupError extends Error {}

/** Runs a program to its end with its output on the terminal. Throws where it fails. */
export function run(program, args, options = {}) {
  const { status, error } = spawnSync(program, args, { stdio: 'inherit', ...options });
  if (error || status !== 0)
    throw new SetupError(`"${[program, ...args].join(' ')}" failed${error ? `: ${error.message}` : ''}.`);
}

/** Runs a program quietly and returns what it wrote, or null where it failed. */
export function ask(program, args, options = {}) {
  const { status, stdout } = spawnSync(program, args, { encoding: 'utf8', ...options });
  return status === 0 ? (stdout ?? '').trim() : null;
}

/** Starts a program that goes on running, with its output on the terminal. */
export function begin(program, args, options = {}) {
  return spawn(program, args, { stdio: 'inherit', ...options });
}

/** Runs several programs beside each other to their ends, each given as a list of words. Throws where any of them fails. */
export async function runTogether(commands, options = {}) {
  const ended = await Promise.allSettled(
    commands.map(
      ([program, ...args]) =>
        new Promise((done, fail) => {
          const failed = () => fail(new SetupError(`"${[program, ...args].join(' ')}" failed.`));
          begin(program, args, options)
            .once('error', failed)
            .once('exit', (code) => (code === 0 ? done() : failed()));
        }),
    ),
  );
  const refused = ended.find(({ status }) => status === 'rejected');
  if (refused !== undefined) throw refused.reason;
}

/** Does the work of a command; where a person has to act, says how in a sentence and without a stack trace. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof SetupError)) throw error;
    console.error(`\n${error.message}`);
    process.exit(1);
  }
}
