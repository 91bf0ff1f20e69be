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
}

/** Starts a worker for one job with its input. It ends with its answer, when it is stopped, or when it dies. */
export function startJob<Input, Said>(worker: Worker, input: Input, ends: JobEnds<Said>): Job {
  worker.onmessage = ({ data }: MessageEvent<Said>) => {
    if (ends.isAnswer(data)) worker.terminate();
    ends.said(data);
  };
  worker.onerror = () => {
    worker.terminate();
    ends.died();
  };
  worker.postMessage(input);
  return { stop: () => worker.terminate() };
}
