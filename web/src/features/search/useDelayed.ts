import { useEffect, useState } from 'react';

/** A value once it has stood still for so many milliseconds. */
export function useDelayed<T>(value: T, wait: number): T {
  const [delayed, setDelayed] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setDelayed(value), wait);
    return () => clearTimeout(timer);
  }, [value, wait]);
  return delayed;
}
