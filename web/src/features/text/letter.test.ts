import { expect, test } from 'vitest';
import { letter } from './letter';

test('the letter holds the citation, whatever stands in it', () => {
  const mail = letter('Maren Oduya', 'Lamps & moths?', 'Oduya, M. (2025). Lamps & moths?', 'Ilse');
  const address = new URL(mail);
  expect(address.protocol).toBe('mailto:');
  expect(address.searchParams.get('subject')).toBe('A copy of “Lamps & moths?”');
  const body = address.searchParams.get('body') ?? '';
  expect(body).toContain('Oduya, M. (2025). Lamps & moths?');
  expect(body.split('\r\n').at(-1)).toBe('Ilse');
});
