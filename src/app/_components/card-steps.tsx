import type { CardStep } from '@/core/resin';
import { describeCardReason, describeCardStep } from '@/subjects/resin/shelf/shared';
import { Caution } from '@/ui';

/** Cautions that stand at the step where the harm can happen. */
export const CAUTIONS: Partial<Record<CardStep['step'], string>> = {
  shake:
    'Liquid resin can make skin allergic for life. Wear nitrile gloves and eye protection, and close the lid before you shake. Do not eat or drink here.',
  drip: 'Uncured resin: gloves and eye protection. Paper ready for spills; wipe them up at once and cure the paper before it goes to waste under local rules. Keep the lid closed against daylight.',
  unload:
    'Blades slip. Clamp the plate, never hold it in your hand, and push the blade away from your fingers. Brittle parts splinter: protect your eyes.',
  wash: 'Solvent vapour burns and makes you dizzy. Open a window. Use no flame and no heated bath. Never warm an ultrasonic bath that holds solvent, and never leave it alone. Take your gloves off before you touch a keyboard or a phone. Cure used paper and dispose of it and of the liquid under local waste rules. Protect your ears beside an ultrasonic bath.',
  dry: 'Compressed air throws resin and solvent into the eyes: wear eye protection, blow into a cloth, and protect your ears. Solvent left in a crevice burns under a lamp: check the crevices before you cure.',
  supports:
    'Point cutters and scrapers away from your fingers. Cut supports fly off: wear eye protection. Water at 50 °C scalds: use a spoon.',
  assemble:
    'Do not force a part into glass: the glass shatters. Wear gloves while the part is green (uncured).',
  cure: 'The lamp harms eyes and skin. Keep its lid closed; a home-made box needs a switch that cuts the lamp off when the box opens. The part and its tray are hot. A hollow part holds uncured resin: open its vents first.',
  coat: 'Lacquer vapour burns. Open a window and use no flame.',
  vat: 'Filter resin before you pour it back into a bottle: solids in it break a screen. Never lower a plate into a vat that you have not inspected. Metal scrapers cut the film.',
};

/** Why a step is done so here, and why others do otherwise. */
export function CardReason({ title, reason }: { title: string; reason: string }) {
  return (
    <details>
      <summary className="text-sm text-soft">
        Reasons and alternatives<span className="sr-only">: {title}</span>
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
