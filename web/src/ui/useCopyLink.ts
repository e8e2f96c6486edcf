import { useNotice } from './notices';

/** Copies a stable link, and says who can open it. */
export function useCopyLink(): (address: string) => void {
  const tell = useNotice();
  return (address) => {
    const done = () => tell({ text: `Copied: ${address} · anyone can open it` });
    // Without a secure connection a browser has no clipboard for us: the address is shown instead.
    if (!navigator.clipboard) tell({ text: `Stable link: ${address} · anyone can open it` });
    else
      navigator.clipboard
        .writeText(address)
        .then(done, () => tell({ text: `Stable link: ${address}` }));
  };
}

/** Copies the short address of something that only the group can open. */
export function useCopyAddress(): (path: string) => void {
  const tell = useNotice();
  return (path) => {
    const address = `${location.origin}${path}`;
    const said = `${address} · members of your group can open it`;
    if (!navigator.clipboard) tell({ text: `Stable link: ${said}` });
    else
      navigator.clipboard.writeText(address).then(
        () => tell({ text: `Copied: ${said}` }),
        () => tell({ text: `Stable link: ${said}` }),
      );
  };
}

/** Copies words; where a browser has no clipboard for us they are shown instead. */
export function useCopyText(): (text: string, what: string) => void {
  const tell = useNotice();
  return (text, what) => {
    if (!navigator.clipboard) tell({ text });
    else
      navigator.clipboard.writeText(text).then(
        () => tell({ text: `Copied ${what}.` }),
        () => tell({ text }),
      );
  };
}
