import { ImportRefusal } from './import-refusal.js';
import { readFile, type ReadSource } from './read-file.js';

/** What the worker says of a file: what was read, or in a sentence why it is not taken. */
export type ReadAnswer = { readonly source: ReadSource } | { readonly refused: string };

self.onmessage = ({ data: file }: MessageEvent<File>) => {
  readFile(file).then(
    (source) => answer({ source }),
    (error: unknown) => answer({ refused: error instanceof ImportRefusal ? error.message : broken(file.name, error) }),
  );
};

const answer = (message: ReadAnswer) => self.postMessage(message);

const broken = (name: string, error: unknown) =>
  `${name} could not be read: ${error instanceof Error ? error.message : 'it is broken'}`;
