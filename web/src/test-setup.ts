import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

afterEach(cleanup);

// Beside other work an answer may take long; where it is there, none waits for it.
configure({ asyncUtilTimeout: 10_000 });

// jsdom draws nothing: dialogs open by their attribute, and nothing has a size.
HTMLDialogElement.prototype.showModal = function () {
  this.open = true;
};
HTMLDialogElement.prototype.close = function () {
  this.open = false;
};

Element.prototype.scrollIntoView = () => {};

// Nothing is out of sight.
window.IntersectionObserver = class {
  observe() {}
  disconnect() {}
} as unknown as typeof IntersectionObserver;

// A wide screen by day.
window.matchMedia = (query) =>
  ({
    matches: false,
    media: query,
    addEventListener() {},
    removeEventListener() {},
  }) as unknown as MediaQueryList;
