/** Lets the browser save a file under a name. */
export function saveAs(name: string, file: Blob): void {
  const address = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser has it by then.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
