import { expect, it } from 'vitest';
import { deviceOf } from './device';

it('names browser and system', () => {
  const chrome = 'AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0.0.0 Safari/537.36';
  expect(deviceOf('Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')).toBe(
    'Firefox on Linux',
  );
  expect(deviceOf(`Mozilla/5.0 (Linux; Android 15) ${chrome}`)).toBe(
    'Chromium or Chrome on Android',
  );
  expect(deviceOf(`Mozilla/5.0 (Windows NT 10.0; Win64; x64) ${chrome} Edg/140.0`)).toBe(
    'Edge on Windows',
  );
  expect(
    deviceOf('Mozilla/5.0 (Macintosh; Intel Mac OS X 15_0) Version/18.0 Safari/605.1.15'),
  ).toBe('Safari on macOS');
});

it('says what else there is', () => {
  expect(deviceOf('curl/8.5.0')).toBe('curl/8.5.0');
  expect(deviceOf('')).toBe('an unnamed browser');
});
