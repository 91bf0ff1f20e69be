/** Long work that has a worker of its own: it can be stopped, and the page stays alive meanwhile. */
export interface Job {
  /** Ends the work. Nothing more is heard of it. */
  readonly stop: () => void;
}

/** What becomes of a job. `Said` is what its worker posts: an answer, or how far it has come. */
export interface JobEnds<Said> {
  /** True for the message with which the work is done. */
  readonly isAnswer: (said: Said) => boolean;
  readonly said: (said: Said) => void;
  /** The worker died without an answer: mostly there was not enough memory. */
  readonly died: () => void;
  /** Where the work may take so long at most, in milliseconds: what to do when it is ended for that. */
  readonly tookTooLong?: { readonly after: number; readonly then: () => void };
}

/** Starts a worker for one job with its input. It ends with its answer, when it is stopped, or when it dies. */
export function startJob<Input, Said>(worker: Worker, input: Input, ends: JobEnds<Said>): Job {
  const { tookTooLong } = ends;
  const limit = tookTooLong && setTimeout(() => endWith(tookTooLong.then), tookTooLong.after);
  const end = () => {
    clearTimeout(limit);
    worker.terminate();
  };
  const endWith = (act: () => void) => {
    end();
    act();
  };
  worker.onmessage = ({ data }: MessageEvent<Said>) => {
    if (ends.isAnswer(data)) end();
    ends.said(data);
  };
  worker.onerror = () => endWith(ends.died);
  worker.postMessage(input);
  return { stop: end };
}
