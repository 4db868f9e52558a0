import Module from 'manifold-3d';
import { writeFileSync } from 'node:fs';
import {
  buildGauge,
  GAUGE_CHOICES,
  type GaugeChoice,
  gaugeEffort,
  gaugeFeatures,
  gaugeOf,
  type GaugeParameters,
  gaugeSpecOf,
} from '@/core/fit/gauges';
import { checkMesh, write3mf, writeStl } from '@/core/part/mesh';
import { describeGaugeIssue } from '@/subjects/fit/gauges/shared';
import { type Arguments, neededNumber, numberOption, textOption } from './arguments';
import { UsageError, valueOrRefuse } from './usage-error';

/** Names on the command line: shortBlock is short-block. */
const nameOf = (choice: GaugeChoice) => choice.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** Steps, and pin, where none is given or asked for. */
const USUAL = { count: 9, pinMm: 5 } as const;

function parametersOf(choice: GaugeChoice, given: Arguments): GaugeParameters {
  const { takesMate, hasSteps, asks } = gaugeOf(choice);
  const usualCount = hasSteps ? USUAL.count : Number(asks.count?.usual ?? USUAL.count);
  return {
    choice,
    fromMm: takesMate ? neededNumber(given, 'from') : numberOption(given, 'from', 0.1),
    stepMm: numberOption(given, 'step', 0.05),
    count: Math.min(100, numberOption(given, 'count', usualCount)),
    pinMm: numberOption(given, 'pin', Number(asks.pinMm?.usual ?? USUAL.pinMm)),
  };
}

/** `gauge KIND -o FILE.stl`: a gauge as STL, or as 3MF where the name ends so. */
export async function runGauge(given: Arguments): Promise<object> {
  const [name] = given.positionals;
  const choice = GAUGE_CHOICES.find((each) => nameOf(each) === name);
  if (choice === undefined)
    throw new UsageError(
      `gauge takes one kind: ${GAUGE_CHOICES.map(nameOf).join(', ')}. Got: ${given.positionals.join(' ') || 'none'}.`,
    );
  const output = textOption(given, 'output');
  if (output === undefined)
    throw new UsageError('gauge: output file missing. Add -o FILE.stl or -o FILE.3mf.');
  const spec = gaugeSpecOf(parametersOf(choice, given));
  const kernel = await Module();
  kernel.setup();
  const mesh = valueOrRefuse(buildGauge(kernel, spec), describeGaugeIssue);
  writeFileSync(output, output.toLowerCase().endsWith('.3mf') ? write3mf(mesh) : writeStl(mesh));
  const check = checkMesh(mesh);
  const effort = gaugeEffort(mesh, check.volumeMm3, numberOption(given, 'layer', 0.05));
  return {
    kind: name,
    file: output,
    facets: check.facets,
    watertight: check.watertight,
    height_mm: effort.heightMm,
    layers: effort.layers,
    minutes_assumed: effort.minutes,
    volume_ml: effort.volumeMl,
    steps_mm: 'stepsMm' in spec ? spec.stepsMm : undefined,
    sizes: gaugeFeatures(spec).map(({ feature, drawnMm }) => ({ feature, drawn_mm: drawnMm })),
  };
}
