import { useSearchParams } from 'react-router';

/** Sets values, or takes those away that are empty. */
function put(params: URLSearchParams, values: Record<string, string>): URLSearchParams {
  for (const [key, value] of Object.entries(values)) {
    if (value) params.set(key, value);
    else params.delete(key);
  }
  return params;
}

/**
 * `replace`: without a step of history. `atOnce`: drawn before the next key, which may be meant for
 * what is drawn.
 */
type How = { replace: boolean; atOnce?: boolean };

/** What stands behind the question mark of the address, and ways to change it. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const changeAll = (values: Record<string, string>, how: How) =>
    setParams((now) => put(now, values), { replace: how.replace, flushSync: how.atOnce ?? false });
  return {
    params,
    /** Sets values together, or takes those away that are empty. */
    changeAll,
    /** The same for one value. */
    change: (key: string, value: string, how: How) => changeAll({ [key]: value }, how),
    /** The same address with another value, and without some. */
    to: (key: string, value: string, ...without: string[]) => {
      const next = new URLSearchParams(params);
      next.set(key, value);
      without.forEach((each) => next.delete(each));
      return `?${next}`;
    },
  };
}
