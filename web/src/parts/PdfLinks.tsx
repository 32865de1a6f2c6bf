import { FileLink } from './Button.tsx';

/** A document to be opened and printed, or saved. */
export function PdfLinks({ address }: { address: string }) {
  return (
    <p className="flex flex-wrap gap-2">
      <FileLink kind="next" href={address} target="_blank" rel="noreferrer">
        Open to print
      </FileLink>
      <FileLink href={address} download>
        Save as PDF
      </FileLink>
    </p>
  );
}
