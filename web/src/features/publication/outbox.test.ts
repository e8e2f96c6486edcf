import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Problem, type Schema } from '../../api';
import { Outbox, type Told, type Unsent } from './outbox';

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
});
afterEach(() => vi.useRealTimers());

const ANSWER: Schema['Marked'] = {
  mark: 'pass',
  lamp: 'lit',
  folder: '',
  note: '',
  publications: 1,
};

/** A server that can be out of reach, and what it got; and what was told. */
function world() {
  const got: string[] = [];
  const said: string[] = [];
  const server = { reachable: true, refuses: '', ended: false };
  const post = async (one: Unsent) => {
    await Promise.resolve();
    if (!server.reachable) throw Problem.unreachable();
    if (server.ended) throw new Problem(401, 'signed-out', 'Sign in.');
    if (one.made.publications[0] === server.refuses) throw new Problem(404, 'unknown', 'Not here.');
    got.push(one.made.publications.join(' '));
    return ANSWER;
  };
  const told: Told = {
    waits: ({ made }) => said.push(`waits ${made.publications[0]}`),
    sent: ({ made }, _, late) => {
      said.push(`${late ? 'late' : 'sent'} ${made.publications[0]}`);
      return Promise.resolve();
    },
    refused: ({ title }, why) => said.push(`refused ${title}: ${why.message}`),
    ended: (those) => said.push(`ended before ${those.length}`),
  };
  return { got, said, server, post, told };
}

function mark(box: Outbox, id: string): string {
  return box.add({ publications: [id], mark: 'pass', reason: '' }, `Title ${id}`);
}

const pass = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

it('sends in the order in which they were made, and shows each from the moment it is made', async () => {
  const { got, said, post, told } = world();
  const box = new Outbox('g', 'm');
  ['a', 'b', 'c'].forEach((id) => {
    mark(box, id);
    box.pump(post, told);
  });
  expect([...box.said().keys()]).toEqual(['a', 'b', 'c']);
  await pass();
  expect(got).toEqual(['a', 'b', 'c']);
  expect(said).toEqual(['sent a', 'sent b', 'sent c']);
  expect(box.said().size).toBe(0);
  expect(localStorage).toHaveLength(0);
});

it('waits for ten minutes, says so once a mark, and sends each once', async () => {
  const { got, said, server, post, told } = world();
  const box = new Outbox('g', 'm');
  server.reachable = false;
  ['a', 'b', 'c'].forEach((id) => {
    mark(box, id);
    box.pump(post, told);
  });
  await pass(600_000);
  expect(box.waiting()).toBe(3);
  expect(said).toEqual(['waits a', 'waits b', 'waits c']);
  server.reachable = true;
  await pass(30_000);
  expect(got).toEqual(['a', 'b', 'c']);
  expect(said.slice(3)).toEqual(['late a', 'late b', 'late c']);
  expect(box.waiting()).toBe(0);
});

it('takes back what was not sent, and only that', async () => {
  const { got, server, post, told } = world();
  const box = new Outbox('g', 'm');
  server.reachable = false;
  const first = mark(box, 'a');
  mark(box, 'b');
  box.pump(post, told);
  expect(box.takeBack(first)).toBe(false);
  await box.settled();
  expect(box.takeBack(first)).toBe(true);
  expect(box.takeBack(first)).toBe(false);
  server.reachable = true;
  await pass(30_000);
  expect(got).toEqual(['b']);
});

it('outlives its page; another member of the same browser sends nothing of it', async () => {
  const { got, server, post, told } = world();
  server.reachable = false;
  const before = new Outbox('g', 'm');
  mark(before, 'a');
  localStorage.setItem('lantern.mark g m 000000000000001 000001 broken', '{"made":');
  before.pump(post, told);
  await pass();
  server.reachable = true;
  vi.clearAllTimers();
  const other = new Outbox('g', 'n');
  other.pump(post, told);
  await pass(20_000);
  expect(got).toEqual([]);
  const after = new Outbox('g', 'm');
  expect([...after.said()]).toMatchObject([['a', { mark: 'pass', reason: '' }]]);
  after.pump(post, told);
  await pass();
  expect(got).toEqual(['a']);
  expect(localStorage).toHaveLength(0);
});

it('leaves what another window just made to that window', async () => {
  const { got, post, told } = world();
  const mine = new Outbox('g', 'm');
  const other = new Outbox('g', 'm');
  mark(other, 'a');
  mine.pump(post, told);
  await pass();
  expect(got).toEqual([]);
  await pass(20_000);
  expect(got).toEqual(['a']);
});

it('names what is refused and goes on; after the visit has ended nothing is sent', async () => {
  const { got, said, server, post, told } = world();
  const box = new Outbox('g', 'm');
  server.refuses = 'a';
  ['a', 'b'].forEach((id) => mark(box, id));
  box.pump(post, told);
  await pass();
  expect(said).toEqual(['refused Title a: Not here.', 'sent b']);
  server.ended = true;
  ['c', 'd'].forEach((id) => mark(box, id));
  box.pump(post, told);
  await pass(60_000);
  expect(said.slice(2)).toEqual(['ended before 2']);
  expect(got).toEqual(['b']);
  expect(localStorage).toHaveLength(0);
});

it('sends what the browser has no room for', async () => {
  const { got, server, post, told } = world();
  const box = new Outbox('g', 'm');
  vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  server.reachable = false;
  mark(box, 'a');
  box.pump(post, told);
  await pass(5_000);
  vi.restoreAllMocks();
  server.reachable = true;
  await pass(30_000);
  expect(got).toEqual(['a']);
});
