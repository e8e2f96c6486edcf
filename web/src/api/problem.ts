/** Something that was refused or went wrong. Code branches on `type`; people read the message. */
export class Problem extends Error {
  readonly type: string;
  readonly status: number;
  readonly details: Record<string, unknown>;

  constructor(
    status: number,
    type: string,
    sentence: string,
    details: Record<string, unknown> = {},
  ) {
    super(sentence);
    this.status = status;
    this.type = type;
    this.details = details;
  }

  static async of(response: Response): Promise<Problem> {
    const text = await response.text();
    try {
      const said = JSON.parse(text) as Record<string, unknown>;
      const type = String(said.type ?? '').replace('urn:quietlantern:', '');
      return new Problem(response.status, type, String(said.detail ?? said.title), said);
    } catch {
      return new Problem(response.status, 'failed', 'The server answered something unexpected.');
    }
  }

  static unreachable(): Problem {
    return new Problem(
      0,
      'unreachable',
      'The server cannot be reached. Nothing was lost; try again.',
    );
  }
}

/** Whether it may come through when it is sent again: nobody refused it. */
export function isOutOfReach(error: unknown): boolean {
  if (error instanceof DOMException) return error.name === 'TimeoutError';
  return error instanceof Problem && [0, 429, 502, 503, 504].includes(error.status);
}

/** Whether what was read before still stands, though it could not be read again. */
export function stands(read: { data: unknown; error: unknown }): boolean {
  return read.data !== undefined && isOutOfReach(read.error);
}

export function isProblem(error: unknown, type: string): error is Problem {
  return error instanceof Problem && error.type === type;
}
