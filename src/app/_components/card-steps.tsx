import type { CardStep } from '@/core/resins';
import { describeCardReason, describeCardStep } from '@/subjects/resin/shared';
import { Caution } from '@/ui';

/** Cautions that stand at the step where the harm can happen. */
const CAUTIONS: Partial<Record<CardStep['step'], string>> = {
  shake: 'Liquid resin sensitises skin for life: nitrile gloves, eyes covered, a lid that closes.',
  wash: 'Solvent vapour burns and makes dizzy: open window, no flame, no heated bath. Used liquid and paper are cured and disposed of under local waste rules.',
  cure: 'The lamp harms eyes and skin: lid closed. The part and its tray come out hot.',
};

/** The handling of a resin in the order of the work. */
export function CardSteps({ steps }: { steps: readonly CardStep[] }) {
  return (
    <ol className="mt-1">
      {steps.map((step) => {
        const { title, text } = describeCardStep(step);
        const caution = CAUTIONS[step.step];
        const reason = describeCardReason(step);
        return (
          <li key={step.step} className="border-b border-hair py-1.5">
            <p>
              <span className="font-semibold">{title}</span> <span>{text}</span>
            </p>
            {reason !== undefined && (
              <details>
                <summary className="text-sm text-soft">
                  Why so, and why others do otherwise<span className="sr-only">: {title}</span>
                </summary>
                <p className="text-sm">{reason}</p>
              </details>
            )}
            {caution !== undefined && <Caution>{caution}</Caution>}
          </li>
        );
      })}
    </ol>
  );
}
