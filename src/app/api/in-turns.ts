import { setImmediate as othersHadTheirTurn } from 'node:timers/promises';
import type { Steps } from '@/core/kit';
import { refusal, wordsOfTrouble } from './answers';

/** How long steps are done before others get their turn, ms. */
const TURN_MS = 20;

const LINES = 'application/x-ndjson';

interface Running {
  readonly isStopped: () => boolean;
  readonly onShare?: (share: number) => void;
}

/** Does long work in turns with everything else that the server does; undefined when it was stopped. */
export async function inTurns<Answer>(
  steps: Steps<Answer>,
  { isStopped, onShare }: Running,
): Promise<Answer | undefined> {
  for (;;) {
    const until = performance.now() + TURN_MS;
    let step = steps.next();
    while (step.done !== true && performance.now() < until) step = steps.next();
    if (step.done === true) return step.value;
    onShare?.(step.value);
    await othersHadTheirTurn();
    if (isStopped()) return void steps.return(undefined as never);
  }
}

/**
 * Answers with the result of long work. A client that asks for lines gets progress, `{"share":0.4}` per line, and last
 * `{"status":200,"body":…}`; if it disconnects, the work stops and nothing is stored.
 */
export async function answerInTurns<Answer>(
  request: Request,
  steps: Steps<Answer>,
  answer: (value: Answer) => Response,
): Promise<Response> {
  if (request.headers.get('accept') !== LINES) {
    const value = await inTurns(steps, { isStopped: () => request.signal.aborted });
    return value === undefined ? refusal('Stopped. Nothing was imported.', 499) : answer(value);
  }
  let gone = false;
  const encoder = new TextEncoder();
  const lines = new ReadableStream({
    async start(controller) {
      const send = (line: object) =>
        gone ? undefined : controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      const isStopped = () => gone || request.signal.aborted;
      try {
        const value = await inTurns(steps, { isStopped, onShare: (share) => send({ share }) });
        const response = value === undefined ? refusal('Stopped. Nothing was imported.', 499) : answer(value);
        send({ status: response.status, body: await response.json() });
      } catch (error) {
        send({ status: 503, body: { message: wordsOfTrouble(error) } });
      }
      if (!gone) controller.close();
    },
    cancel() {
      gone = true;
    },
  });
  return new Response(lines, { headers: { 'Content-Type': LINES } });
}
