import { Tabs } from 'radix-ui';

interface Props {
  readonly label: string;
  readonly tabs: readonly (readonly [value: string, words: string])[];
}

/** The tabs of what stands side by side; the one in sight told by weight and a line under it. */
export function TabBar({ label, tabs }: Props) {
  return (
    <Tabs.List aria-label={label} className="flex flex-wrap border-b border-ink">
      {tabs.map(([value, words]) => (
        <Tabs.Trigger
          key={value}
          value={value}
          className="min-h-11 min-w-11 px-2 text-[15px] data-[state=active]:font-semibold data-[state=active]:shadow-[inset_0_-4px_0_var(--color-ink)]"
        >
          {words}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}
