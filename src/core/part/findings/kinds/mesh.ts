import { plural } from '@/core/kit/wording';
import { type FindingDefinition, PLAIN } from '../finding';

export const NOT_CLOSED: FindingDefinition = {
  ...PLAIN,
  unit: 'edges',
  find: ({ check: { watertight, boundaryEdges, nonManifoldEdges, misorientedEdges } }) =>
    watertight
      ? []
      : [
          {
            risk: 'printLost',
            chance: 'likely',
            measured: boundaryEdges + nonManifoldEdges + misorientedEdges,
          },
        ],
  words: ({ measured }) => ({
    title: `The mesh is not closed: ${plural(measured, 'edge', 'edges')}`,
    does: 'The slicer must guess what is inside, so layers can print empty or filled.',
    mend: 'Repair a copy below, or export the part again from your CAD program.',
    changes: 'The repair shows the change in volume before you accept it.',
  }),
};

export const INSIDE_OUT: FindingDefinition = {
  ...PLAIN,
  unit: 'shells',
  find: ({ check: { invertedShells } }) =>
    invertedShells > 0 ? [{ risk: 'printLost', chance: 'likely', measured: invertedShells }] : [],
  words: ({ measured }) => ({
    title: `${plural(measured, 'shell is', 'shells are')} inside out`,
    does: 'A slicer may print the air around it, or nothing.',
    mend: 'Repair a copy below. The repair turns the shell right side out.',
    changes: 'The shape stays the same. Only inside and outside are swapped.',
  }),
};
