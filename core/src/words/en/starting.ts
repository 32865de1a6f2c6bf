/** What is told where the program starts, before any page is open. */
export const startingWords = {
  ready: (address: string) => `Puntada is ready: ${address}`,
  portTaken: (port: number) => `Port ${port} is in use. Set PUNTADA_PORT to another number.`,
  folderHeld: (folder: string, pid: number) =>
    `The data folder ${folder} is in use by process ${pid}. Two at once would lose rows. ` +
    'Close that Puntada first, or give this one a data folder of its own.',
  lockFailed: (path: string) => `Puntada could not lock its data folder with ${path}. Check that you may write there.`,
  newerData: (newest: number, known: number) =>
    `A newer Puntada has used this data (shape ${newest}; this one knows ${known}). ` +
    'Start that one, or use another data folder.',
  onlyHere: 'Puntada answers on this machine only.',
} as const;
