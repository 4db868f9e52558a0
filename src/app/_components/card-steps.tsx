import type { CardStep } from '@/core/resins';
import { describeCardReason, describeCardStep } from '@/subjects/resin/shared';
import { Caution } from '@/ui';

/** Cautions that stand at the step where the harm can happen. */
export const CAUTIONS: Partial<Record<CardStep['step'], string>> = {
  shake:
    'Liquid resin can make skin allergic for life. Wear nitrile gloves and eye protection, and close the lid before you shake. Do not eat or drink here.',
  wash: 'Solvent vapour burns and makes you dizzy. Open a window; no flame, no heated bath. Take the gloves off before you touch a keyboard or a phone. Cure used paper and dispose of it and of the liquid under local waste rules. Protect your ears beside an ultrasonic bath.',
  dry: 'Compressed air throws resin and solvent into the eyes: wear eye protection, blow into a cloth, and protect your ears.',
  supports: 'Point cutters and scrapers away from your fingers. Cut supports fly: wear eye protection.',
  cure: 'The lamp harms eyes and skin: keep its lid closed. The part and its tray come out hot.',
};

/** Why a step is done so here, and why others do otherwise. */
export function CardReason({ title, reason }: { title: string; reason: string }) {
  return (
    <details>
      <summary className="text-sm text-soft">
        Why so, and why others do otherwise<span className="sr-only">: {title}</span>
      </summary>
      <p className="text-sm">{reason}</p>
    </details>
  );
}

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
            {reason !== undefined && <CardReason title={title} reason={reason} />}
            {caution !== undefined && <Caution>{caution}</Caution>}
          </li>
        );
      })}
    </ol>
  );
}
