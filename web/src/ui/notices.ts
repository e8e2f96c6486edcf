import { createContext, useContext } from 'react';

export type Notice = { text: string; command?: string; bad?: boolean };

/** Tells what an act came to, in place of a question before it. `command` can be undone. */
export const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext);
}
