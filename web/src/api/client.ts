import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { Problem } from './problem';

export type Schema = components['schemas'];

/** How much of what is sent may outlive its page (Fetch standard, 4.6: 64 KiB, shared by all). */
const OUTLIVES = 16 * 1024;

/** What a person just did reaches the server, even if they leave the page in the same second. */
async function send(request: Request): Promise<Response> {
  const type = request.headers.get('Content-Type');
  const isAct = request.method !== 'GET' && (type === null || type === 'application/json');
  const size = isAct && type ? (await request.clone().arrayBuffer()).byteLength : 0;
  return globalThis.fetch(request, { keepalive: isAct && size <= OUTLIVES });
}

/** Speaks to the server; adds the token that writing needs, and turns refusals into problems. */
export const api = createClient<paths>({
  baseUrl: location.origin,
  fetch: send,
});

/** What writing needs; null before the first answer of the server. */
export function writingToken(): string | null {
  return /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? null;
}

api.use({
  onRequest({ request }) {
    const token = writingToken();
    if (token && request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', token);
    return request;
  },
  async onResponse({ response }) {
    if (!response.ok && response.status !== 304) throw await Problem.of(response);
  },
  onError({ error }) {
    return error instanceof DOMException ? undefined : Problem.unreachable();
  },
});

/** The body of an answer that has one. */
export function body<T>(answer: { data?: T }): T {
  if (answer.data === undefined) throw Problem.unreachable();
  return answer.data;
}

/** A name for one act of a member: repeating the act under its name changes nothing. */
export function newCommand(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

export function commandHeader(command: string) {
  return { 'Command-Id': command };
}
