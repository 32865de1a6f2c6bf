import { partsSaid } from '@puntada/core/words';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { announce } from './announce.ts';

interface Props {
  /** What it copies, in words: `Copy row 21`. */
  readonly words: string;
  /** A text, or a picture as PNG; made when it is asked for. */
  readonly what: () => string | Promise<Blob>;
}

/** A text for the clipboard, or a picture that may still be on its way: a browser wants it within the press itself. */
function toClipboard(content: string | Promise<Blob>): Promise<void> {
  if (typeof content === 'string') return navigator.clipboard.writeText(content);
  return navigator.clipboard.write([new ClipboardItem({ 'image/png': content })]);
}

/** Copies something to be pasted elsewhere, and says so. */
export function CopyButton({ words, what }: Props) {
  const [refused, setRefused] = useState(false);
  const copy = async () => {
    const done = await toClipboard(what()).then(
      () => true,
      () => false,
    );
    setRefused(!done);
    if (done) announce(partsSaid.copied);
  };
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2">
      <button
        type="button"
        onClick={() => void copy()}
        className="inline-flex min-h-11 items-center gap-1.5 text-[15px] underline underline-offset-4 hover:text-ink"
      >
        <Copy aria-hidden className="size-4" />
        {words}
      </button>
      {refused ? (
        <span role="alert" className="text-[14px] text-brick">
          {partsSaid.nothingCopied}
        </span>
      ) : null}
    </span>
  );
}
