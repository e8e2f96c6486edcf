import { useSearchParams } from 'react-router';

/** Sets values, or takes those away that are empty. */
function put(params: URLSearchParams, values: Record<string, string>): URLSearchParams {
  for (const [key, value] of Object.entries(values)) {
    if (value) params.set(key, value);
    else params.delete(key);
  }
  return params;
}

/** What stands behind the question mark of the address, and ways to change it. */
export function useAddress() {
  const [params, setParams] = useSearchParams();
  const changeAll = (values: Record<string, string>, { replace }: { replace: boolean }) =>
    setParams((now) => put(now, values), { replace });
  return {
    params,
    /** Sets values at once, or takes those away that are empty; `replace`: without a step of history. */
    changeAll,
    /** The same for one value. */
    change: (key: string, value: string, how: { replace: boolean }) =>
      changeAll({ [key]: value }, how),
    /** The same address with another value, and without some. */
    to: (key: string, value: string, ...without: string[]) => {
      const next = new URLSearchParams(params);
      next.set(key, value);
      without.forEach((each) => next.delete(each));
      return `?${next}`;
    },
  };
}
