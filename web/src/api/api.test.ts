import { describe, expect, it } from 'vitest';
import { isProblem, newCommand, Problem } from '.';

describe('Problem', () => {
  it('keeps type, sentence and details of a refusal', async () => {
    const body = {
      type: 'urn:quietlantern:search-problem',
      detail: 'column 14: this quotation mark is never closed',
      problems: [{ column: 14 }],
    };
    const problem = await Problem.of(new Response(JSON.stringify(body), { status: 422 }));
    expect(problem.message).toBe(body.detail);
    expect(problem.details.problems).toEqual([{ column: 14 }]);
    expect(isProblem(problem, 'search-problem')).toBe(true);
    expect(isProblem(problem, 'unknown')).toBe(false);
    expect(isProblem(new Error('x'), 'unknown')).toBe(false);
  });

  it('survives an answer that is no problem document', async () => {
    const problem = await Problem.of(new Response('<html>', { status: 502 }));
    expect(problem.status).toBe(502);
    expect(problem.message).toContain('unexpected');
  });
});

describe('newCommand', () => {
  it('makes a new UUID of version 4 each time', () => {
    const made = Array.from({ length: 200 }, newCommand);
    expect(new Set(made).size).toBe(200);
    for (const command of made) {
      expect(command).toMatch(
        /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      );
    }
  });
});
