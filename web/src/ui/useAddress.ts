import { useSearchParams } from 'react-router';

/** What stands behind the question mark of the address, and ways to change it. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  return {
    params,
    /** Sets a value, or takes it away where it is empty; `replace`: without a step of history. */
    change: (key: string, value: string, { replace }: { replace: boolean }) =>
      setParams(
        (now) => {
          if (value) now.set(key, value);
          else now.delete(key);
          return now;
        },
        { replace },
      ),
    /** The same address with another value, and without some. */
    to: (key: string, value: string, ...without: string[]) => {
      const next = new URLSearchParams(params);
      next.set(key, value);
      without.forEach((each) => next.delete(each));
      return `?${next}`;
    },
  };
}
