import { createContext, useContext } from 'react';

export type Notice = {
  text: string;
  /** The act it tells of, which can be undone. */
  command?: string;
  bad?: boolean;
  /** What else can be done about it. */
  acts?: { label: string; act: () => void }[];
};

/** Tells what an act came to, in place of a question before it. */
export const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

export function useNotice(): (notice: Notice) => void {
  return useContext(NoticeContext);
}
