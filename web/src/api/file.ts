import { writingToken, type Schema } from './client';
import { Problem } from './problem';

/** A piece with how many works are done, or the end with how many there are. */
type Line = { done?: number; text?: string; works?: number; left?: Schema['LeftOut'][] };

/** A file that came whole. */
export type TakenFile = { text: string; works: number; left: Schema['LeftOut'][] };

/**
 * Takes a file of references that comes as lines of JSON: pieces, and an end. One without its end
 * broke off, and is no file.
 */
export async function takeFile(
  path: string,
  wanted: Schema['ExportWanted'],
  onDone: (works: number) => void,
  signal: AbortSignal,
): Promise<TakenFile> {
  const answer = await globalThis
    .fetch(`${path}/export`, { ...writing(wanted), signal })
    .catch((why: unknown) => {
      throw signal.aborted ? why : Problem.unreachable();
    });
  if (!answer.ok) throw await Problem.of(answer);
  const pieces: string[] = [];
  for await (const line of linesOf(answer, signal)) {
    const read = JSON.parse(line) as Line;
    if (read.works !== undefined) {
      return { text: pieces.join(''), works: read.works, left: read.left ?? [] };
    }
    pieces.push(read.text ?? '');
    onDone(read.done ?? 0);
  }
  throw Problem.unreachable();
}

/** What a request has whose body is a file: it is sent as it is, and the types know of JSON only. */
export function asItIs(file: File) {
  return {
    headers: { 'Content-Type': 'application/octet-stream' },
    body: file as never,
    bodySerializer: (sent: unknown) => sent as File,
  };
}

/** Takes a file that comes as it is. */
export async function takeBlob(path: string, wanted: Schema['TableWanted']): Promise<Blob> {
  const answer = await globalThis
    .fetch(path, writing(wanted))
    .catch(() => Promise.reject(Problem.unreachable()));
  if (!answer.ok) throw await Problem.of(answer);
  return answer.blob();
}

function writing(wanted: unknown): RequestInit {
  return {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': writingToken() ?? '' },
    body: JSON.stringify(wanted),
  };
}

async function* linesOf(answer: Response, signal: AbortSignal): AsyncGenerator<string> {
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  try {
    for (;;) {
      const part = await reader?.read();
      if (!part || part.done) return;
      const lines = (rest + part.value).split('\n');
      rest = lines.pop() ?? '';
      yield* lines;
    }
  } catch (why) {
    throw signal.aborted ? why : Problem.unreachable();
  }
}
