import type { AcceptanceTest, Answer, Claim, MateOrigin } from '@/core/job/need';

interface ClaimWords {
  readonly label: string;
  readonly caution: string;
}

/** What a claim asks for. Each defers to the rules of the place and to people licensed for it. */
const CLAIM_WORDS: Readonly<Record<Claim, ClaimWords>> = {
  mains: {
    label: 'mains voltage near it',
    caution:
      'Printed resin is not tested insulation, and it burns. Mains parts and battery contacts must be certified; a licensed electrician decides by the local code. Never let cells touch a bare printed holder under load.',
  },
  skin: {
    label: 'worn on skin',
    caution:
      'Under-cured resin can make skin allergic for life. Use only a resin rated for skin, washed and cured as its datasheet says. This program cannot confirm that it is safe.',
  },
  mouth: {
    label: 'in or near the mouth or an eye',
    caution:
      'In or near the mouth or an eye, use only a rated resin and a validated process. A licensed professional must make and fit the part. This program only computes sizes.',
  },
  food: {
    label: 'touches food or drink',
    caution:
      'Layer lines trap food, and most resins must not touch food. Use a rated resin with a coating, or another material. Local food rules apply.',
  },
  sterile: {
    label: 'must be sterile',
    caution:
      'Use only a resin rated for it, after the full wash and cure of its datasheet, in a validated cycle and by a licensed professional. Steam also needs heat resistance and may deform a part that is only clean.',
  },
  pressure: {
    label: 'under pressure or vacuum',
    caution:
      'Printed resin bursts without warning, into splinters. Test it filled with water, behind a shield, well above the working pressure. Wear eye protection around compressed air. Pressure equipment has its own codes.',
  },
  vehicle: {
    label: 'on a vehicle, or holds a person',
    caution:
      'Never print a part that steers, brakes or carries a person. A printed part is not certified: check approval rules, heat in a parked vehicle and vibration first.',
  },
  water: {
    label: 'stays wet or under water',
    caution:
      'Cured resin takes up water, swells and softens. Choose a resin with low water uptake, coat the part, and measure a spare after a week in water. Not for drinking water.',
  },
  outdoors: {
    label: 'used outdoors',
    caution:
      'Sun and frost make cured resin yellow and brittle within months. Paint the part, inspect it every season, and do not hang anything from it that may fall on someone.',
  },
  children: {
    label: 'within reach of children',
    caution:
      'Children swallow small parts, and brittle parts break into sharp pieces. A printed part is not a certified toy: keep it away from children unless your local toy rules are met.',
  },
  heat: {
    label: 'near a flame or a hot surface',
    caution:
      'Cured resin softens, then burns. Keep it away from flames and heaters. Hot plastic formed or moulded over it sticks and burns skin: wear heat gloves, and try the hottest step on a spare part first.',
  },
};

export function describeClaim(claim: Claim): ClaimWords {
  return CLAIM_WORDS[claim];
}

const TEST_WORDS: Readonly<Record<AcceptanceTest, string>> = {
  pushAndShake: 'Pushes in by thumb and stays in place when shaken upside down',
  turnsByHand: 'Turns by hand through a full turn without rubbing',
  holdsPose: 'Holds its position after it is set and released',
  passesGauge: 'Passes the gauge',
  looksAlike: 'Matches its neighbour at arm’s length',
  slidesByHand: 'Slides on by hand, without a tool',
  bearsLoad: 'Carries its load for a day without creeping',
};

export function describeAcceptanceTest(test: AcceptanceTest): string {
  return TEST_WORDS[test];
}

const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  passed: 'passed',
  partly: 'passed in part',
  failed: 'failed',
};

export function describeAnswer(answer: Answer): string {
  return ANSWER_WORDS[answer];
}

export function describeOrigin(origin: MateOrigin): string {
  return origin === 'bought' ? 'bought, can be reordered' : 'old part, as found';
}
