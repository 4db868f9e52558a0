import type { CardStep } from '@/core/resins';
import { describeCardReason, describeCardStep } from '@/subjects/resin/shared';
import { Caution } from '@/ui';

/** Cautions that stand at the step where the harm can happen. */
export const CAUTIONS: Partial<Record<CardStep['step'], string>> = {
  shake:
    'Liquid resin can make skin allergic for life. Wear nitrile gloves and eye protection, and close the lid before you shake. Do not eat or drink here.',
  drip: 'Uncured resin: gloves and eye protection. Paper ready for spills; wipe them up at once and cure the paper before it goes to waste under local rules. Keep the lid closed against daylight.',
  unload:
    'A blade slips: push it away from your fingers, the plate clamped, never in the hand. Brittle parts splinter: protect your eyes.',
  wash: 'Solvent vapour burns and makes you dizzy. Open a window; no flame, no heated bath, an ultrasonic bath never warm with solvent and never left alone. Take the gloves off before you touch a keyboard or a phone. Cure used paper and dispose of it and of the liquid under local waste rules. Protect your ears beside an ultrasonic bath.',
  dry: 'Compressed air throws resin and solvent into the eyes: wear eye protection, blow into a cloth, and protect your ears. Solvent still in a crevice burns under a lamp: look before the cure.',
  supports:
    'Point cutters and scrapers away from your fingers. Cut supports fly: wear eye protection. Water of 50 °C scalds: use a spoon.',
  assemble: 'Do not force a part into glass: it shatters. Gloves while it is green.',
  cure: 'The lamp harms eyes and skin: keep its lid closed; a home-made box needs a switch that cuts the lamp when it opens. The part and its tray come out hot. A hollow part holds uncured resin: open its vents first.',
  coat: 'Vapour of lacquer burns: open a window, no flame.',
  vat: 'Filter resin before it goes back into a bottle: what is solid in it breaks a screen. Never lower a plate into a vat that was not looked through. Metal scrapers cut the film.',
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
