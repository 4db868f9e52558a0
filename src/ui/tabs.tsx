'use client';

import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Tab {
  readonly id: string;
  readonly label: string;
  readonly content: ReactNode;
}

/** Panels of which one is open; arrow keys move between their names. */
export function Tabs({ tabs, label }: { tabs: readonly Tab[]; label: string }) {
  return (
    <Radix.Root defaultValue={tabs[0].id}>
      <Radix.List aria-label={label} className="flex flex-wrap gap-x-5 border-b border-ink">
        {tabs.map(({ id, label: name }) => (
          <Radix.Trigger
            key={id}
            value={id}
            className="border-b-4 border-transparent px-0.5 pt-1 pb-0.5 text-soft data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
          >
            {name}
          </Radix.Trigger>
        ))}
      </Radix.List>
      {tabs.map(({ id, content }) => (
        <Radix.Content key={id} value={id} className="pt-3">
          {content}
        </Radix.Content>
      ))}
    </Radix.Root>
  );
}
