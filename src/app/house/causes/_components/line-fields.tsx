'use client';

import { useTap } from '@/app/_components/use-tap';
import { causeOf, CAUSES, type Chances } from '@/core/log';
import { lineForm, type LineName, priorForm } from '@/subjects/log/shared';
import { ActionForm, Button, TextField } from '@/ui';
import { dropLine, saveLine, savePrior } from '../actions';

interface LineFieldsProps {
  readonly line: LineName;
  readonly title: string;
  readonly why: string;
  readonly chances: Chances;
  readonly isOwn: boolean;
}

const percent = (share: number) => Math.round(1000 * share) / 10;

/** How likely something is under each cause: its reason, and whether it is a default or changed here. */
export function LineFields({ line, title, why, chances, isOwn }: LineFieldsProps) {
  return (
    <details className="border-b border-hair py-1">
      <summary>
        {title}
        {isOwn && <span className="text-sm text-honey"> · changed in this shop</span>}
      </summary>
      <p className="mt-1 text-sm text-soft">{why.charAt(0).toUpperCase() + why.slice(1)}</p>
      <ActionForm form={lineForm} action={saveLine} label={title} className="mt-2 grid gap-3">
        <input type="hidden" name="line" value={`${line.of} ${line.name}`} />
        <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
          <TextField name="usual" defaultValue={percent(chances.usual)} inputMode="decimal" />
          {CAUSES.map((cause) => {
            const own = chances.but[cause];
            return (
              <TextField
                key={cause}
                name={cause}
                inputMode="decimal"
                placeholder="default chance"
                defaultValue={own === undefined ? '' : percent(own)}
              />
            );
          })}
        </div>
        <p className="flex flex-wrap gap-3">
          <Button type="submit">Save chances</Button>
          {isOwn && <BackToOurs line={line} />}
        </p>
      </ActionForm>
    </details>
  );
}

function BackToOurs({ line }: { line: LineName | { readonly of: 'prior' } }) {
  const { isBusy, tap } = useTap();
  return (
    <Button type="button" disabled={isBusy} onClick={() => tap((key) => dropLine(key, line))}>
      Reset to defaults
    </Button>
  );
}

interface PriorFieldsProps {
  readonly prior: Readonly<Record<(typeof CAUSES)[number], number>>;
  readonly isOwn: boolean;
}

/** How often each is the cause, before this workshop has found any. */
export function PriorFields({ prior, isOwn }: PriorFieldsProps) {
  return (
    <ActionForm form={priorForm} action={savePrior} label="Frequency" className="grid gap-3">
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {CAUSES.map((cause) => (
          <TextField
            key={cause}
            name={cause}
            label={causeOf(cause).words}
            defaultValue={prior[cause]}
            inputMode="decimal"
          />
        ))}
      </div>
      <p className="flex flex-wrap gap-3">
        <Button type="submit">Save frequencies</Button>
        {isOwn && <BackToOurs line={{ of: 'prior' }} />}
      </p>
    </ActionForm>
  );
}
