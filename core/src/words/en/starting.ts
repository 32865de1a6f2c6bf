/** What keeps the program from opening its data. */
export type StartFault =
  | 'not-a-folder'
  | 'not-mine'
  | 'lock'
  | 'disk-full'
  | 'database-gone'
  | 'database-damaged'
  | 'migration-failed';

const damage: readonly StartFault[] = ['database-gone', 'database-damaged', 'migration-failed'];

const found: Readonly<Record<StartFault, string>> = {
  'not-a-folder': 'there is a file where the folder should be.',
  'not-mine': 'this account may not read or write there.',
  lock: '“held-by” in it is no file, so it cannot be told who uses the data.',
  'disk-full': 'the disk is full.',
  'database-gone': 'copies, but no database.',
  'database-damaged': 'the database is damaged, or parts of it are missing.',
  'migration-failed': 'the database could not be brought to the shape this version needs.',
};

const toDo: Readonly<Record<StartFault, string>> = {
  'not-a-folder': 'move that file away, or set PUNTADA_DATA to a folder.',
  'not-mine': 'let this account own the folder, or set PUNTADA_DATA to another.',
  lock: 'make sure that no other Puntada uses the folder, then move “held-by” away.',
  'disk-full': 'make room on the disk, then start again.',
  'database-gone': 'bring the folder “database” back, or put a copy back.',
  'database-damaged': 'keep the folder “database” as it is; it may still be mended.',
  'migration-failed': 'start the version you used before; it reads this data as it is.',
};

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
  /** What was found, what is safe, and what to do. */
  cannotStart: (why: StartFault, folder: string, copies: readonly string[]) =>
    [
      `Puntada cannot open its data in ${folder}.`,
      `Found: ${found[why]}`,
      `Safe: nothing was changed or written over. ${
        copies.length
          ? `There are ${copies.length} copies, the newest ${copies[0]}.`
          : 'There is no copy in this folder.'
      }`,
      `To do: ${toDo[why]}${
        damage.includes(why) && copies.length
          ? ` To put the newest copy back: PUNTADA_DATA=${folder} npm run put-back -- ${copies[0]}`
          : ''
      }`,
    ].join('\n'),
  putBack: (name: string, holds: string, aside: string) =>
    `Put back: ${name}, with ${holds}.${aside ? ` What was there before lies in ${aside}.` : ''}`,
  notPutBack: (why: string) => `Nothing was put back. ${why}`,
  whichCopy: (copies: readonly string[]) =>
    copies.length
      ? `Which copy? npm run put-back -- NAME\n${copies.join('\n')}`
      : 'There is no copy in the data folder. Give the path of a backup: npm run put-back -- FILE',
  onlyHere: 'Puntada answers on this machine only.',
} as const;
