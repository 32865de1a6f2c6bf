import { TextField } from './TextField.tsx';
import type { TypedGrams } from './useGrams.ts';

interface Props {
  readonly typed: TypedGrams;
  /** It was tried to save it: what is wrong is said. */
  readonly tried: boolean;
  /** A weight that such a thing has, g. */
  readonly like: string;
}

/** What a small thing weighs. */
export function GramsField({ typed: { text, type, grams }, tried, like }: Props) {
  return (
    <TextField
      label="It weighs"
      value={text}
      onChange={type}
      inputMode="decimal"
      after="g"
      className="count text-[18px]"
      wrong={tried && grams === undefined ? `Type grams, such as ${like}.` : undefined}
    />
  );
}
