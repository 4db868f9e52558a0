import { type CardStep, describeCardReason, describeCardStep, processStepOf } from '@/core/resin';
import { Caution } from '@/ui';

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
        const caution = processStepOf(step.step).caution;
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
