import type { CameInLately } from '../../core/contract/telling';

type Message = CameInLately['messages'][number];

/** What comes at once is told together, in milliseconds. */
const TOGETHER = 300;

/** Hears what comes in, and tells it, until it is ended. */
export async function tellUntil(signal: AbortSignal): Promise<void> {
  const known = new Set((await cameIn()).map(({ id }) => id));
  if (signal.aborted) return;
  const heard = new EventSource('/api/news');
  let soon: ReturnType<typeof setTimeout> | undefined;
  const look = async () => {
    soon = undefined;
    for (const message of (await cameIn()).reverse()) {
      if (known.has(message.id)) continue;
      known.add(message.id);
      if (document.visibilityState === 'hidden') await tell(message);
    }
  };
  const lookSoon = () => (soon ??= setTimeout(() => void look(), TOGETHER));
  heard.addEventListener('letters', lookSoon);
  // Something may have come while it was not heard.
  heard.addEventListener('open', lookSoon);
  await new Promise<void>((ended) => signal.addEventListener('abort', () => ended()));
  heard.close();
  clearTimeout(soon);
}

async function cameIn(): Promise<Message[]> {
  const answer = await fetch('/api/letters/came-in').catch(() => undefined);
  return answer?.ok ? ((await answer.json()) as CameInLately).messages : [];
}

async function tell({ id, from, subject }: Message): Promise<void> {
  const path = `/post/${id}`;
  const said = { body: subject, tag: id, data: { path } };
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  // Phones show none but those of a worker.
  if (worker?.active) return worker.showNotification(from || 'Post', said);
  const notice = new Notification(from || 'Post', said);
  notice.onclick = () => window.open(path);
}
