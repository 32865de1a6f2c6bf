import type { Problem } from '@puntada/core/craft';
import { useEffect, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useHoldMarkMutation } from '../../api/labelPrinter.ts';
import { openPicture } from '../../parts/readPicture.ts';

/** Dots of the longer side of a mark: a centimetre and a half at 300 to the inch, and some. */
const side = 320;
const [textKey, pictureKey] = ['puntada-mark', 'puntada-mark-picture'];

function read(key: string): string {
  try {
    return localStorage.getItem(key) ?? '';
  } catch {
    return '';
  }
}

function keep(key: string, text: string): void {
  try {
    if (text) localStorage.setItem(key, text);
    else localStorage.removeItem(key);
  } catch {
    // A private window keeps nothing; it is chosen again.
  }
}

/** A picture as small as a mark is, on white, as a PNG. */
async function smallPng(bitmap: ImageBitmap): Promise<string> {
  const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const ctx = canvas.getContext('2d');
  if (!ctx) return '';
  ctx.fillStyle = '#ffffff';
  ctx.fillRect(0, 0, canvas.width, canvas.height);
  ctx.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  const png = canvas.toDataURL('image/png');
  // A photo is smaller as a JPEG.
  return png.length <= 110_000 ? png : canvas.toDataURL('image/jpeg', 0.85);
}

/** The mark of a maker: initials or a name, a picture, or both. This browser keeps it, where it keeps anything. */
export interface Mark {
  readonly text: string;
  readonly setText: (text: string) => void;
  /** As a data URL; empty for none. */
  readonly picture: string;
  /** The name under which the server holds it; empty for none. */
  readonly name: string;
  readonly take: (file: File) => Promise<void>;
  readonly drop: () => void;
  readonly problems: readonly Problem[];
}

export function useMark(): Mark {
  const [text, setText] = useState(() => read(textKey));
  const [picture, setPicture] = useState(() => read(pictureKey));
  const [unread, setUnread] = useState<readonly Problem[]>([]);
  const [hold, held] = useHoldMarkMutation();
  useEffect(() => {
    if (picture) void hold(picture);
  }, [picture, hold]);
  const change = (next: string) => {
    setPicture(next);
    keep(pictureKey, next);
  };
  return {
    text,
    setText: (next) => {
      setText(next);
      keep(textKey, next);
    },
    picture,
    name: picture && held.originalArgs === picture ? (held.data?.name ?? '') : '',
    async take(file) {
      const opened = await openPicture(file);
      setUnread(opened.ok ? [] : opened.problems);
      if (opened.ok) change(await smallPng(opened.value));
    },
    drop: () => change(''),
    problems: [...unread, ...(picture ? problemsOf(held.error) : [])],
  };
}
