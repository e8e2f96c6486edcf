/** Whether something is still to come of a copy request. */
export function isOpen({ state }: { state: string }): boolean {
  return ['asked', 'sent', 'asked back'].includes(state);
}
