/** The revisions that books have come to, by the id of the book. */
export type Revisions = Readonly<Record<string, number>>;

/** The pauses before the server is asked again, in milliseconds; the last one for ever. */
const PAUSES = [1_000, 2_000, 5_000, 10_000, 30_000];

/**
 * Hears from the server which revisions the books of a person have come to. Of all tabs of a browser one holds the
 * connection, by a lock that the browser hands on when that tab goes, and tells the others: over HTTP/1.1 a browser has
 * six connections to a server, and a page needs them for other things. Where a browser offers no locks (a page that came
 * over plain HTTP from another machine), each tab that is in sight listens for itself.
 */
export function followNews(personId: string, onNews: (revisions: Revisions) => void): () => void {
  const name = `nuvar-news ${personId}`;
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<Revisions>) => onNews(data);
  const passOn = (revisions: Revisions) => {
    onNews(revisions);
    channel.postMessage(revisions);
  };
  // The browser keeps a page that was left for a while, and would keep its connection too.
  let stop = begin(name, passOn);
  const leave = () => stop();
  const comeBack = ({ persisted }: PageTransitionEvent) => {
    if (persisted) stop = begin(name, passOn);
  };
  window.addEventListener('pagehide', leave);
  window.addEventListener('pageshow', comeBack);
  return () => {
    stop();
    channel.close();
    window.removeEventListener('pagehide', leave);
    window.removeEventListener('pageshow', comeBack);
  };
}

/** Listens from the moment on at which it is this tab's turn; gives how to end that. */
function begin(name: string, onNews: (revisions: Revisions) => void): () => void {
  return 'locks' in navigator ? whileLeading(name, onNews) : whileInSight(onNews);
}

function whileLeading(name: string, onNews: (revisions: Revisions) => void): () => void {
  const left = new AbortController();
  const untilLeft = new Promise<void>((done) => left.signal.addEventListener('abort', () => done()));
  navigator.locks
    .request(name, { signal: left.signal }, async () => {
      const stop = listen(onNews);
      await untilLeft;
      stop();
    })
    // Whoever leaves while another tab still leads has never begun.
    .catch(() => undefined);
  return () => left.abort();
}

function whileInSight(onNews: (revisions: Revisions) => void): () => void {
  let stop: (() => void) | null = null;
  const look = () => {
    const isInSight = document.visibilityState === 'visible';
    if (isInSight && stop === null) stop = listen(onNews);
    if (isInSight || stop === null) return;
    stop();
    stop = null;
  };
  look();
  document.addEventListener('visibilitychange', look);
  return () => {
    document.removeEventListener('visibilitychange', look);
    stop?.();
  };
}

/** Holds the connection. What breaks is opened again by the browser; what was refused, after a pause, by us. */
function listen(onNews: (revisions: Revisions) => void): () => void {
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let refusals = 0;
  const open = () => {
    source = new EventSource('/api/events');
    source.onmessage = ({ data }: MessageEvent<string>) => {
      refusals = 0;
      onNews((JSON.parse(data) as { revisions: Revisions }).revisions);
    };
    source.onerror = () => {
      if (source?.readyState !== EventSource.CLOSED) return;
      timer = setTimeout(open, PAUSES[Math.min(refusals, PAUSES.length - 1)]);
      refusals += 1;
    };
  };
  open();
  return () => {
    clearTimeout(timer);
    source?.close();
  };
}
