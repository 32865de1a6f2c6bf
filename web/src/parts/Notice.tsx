/** What was changed from elsewhere, such as by a swatch, until the maker changes the plan again. */
export function Notice({ text }: { text: string | null }) {
  if (!text) return null;
  return (
    <p role="status" className="mb-3 border-l-4 border-verdigris bg-verdigris-pale px-4 py-2.5 text-[16px]">
      {text}
    </p>
  );
}
