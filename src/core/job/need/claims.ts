import { keysOf } from '@/core/kit';

/** All facts about something that a part touches or is claimed for. */
interface ClaimDefinition {
  readonly label: string;
  /** Defers to the rules of the place and to people licensed for it. */
  readonly caution: string;
  /** Only a resin rated for this may meet the claim: the word on its datasheet, and how a sentence names it. */
  readonly rating?: { readonly word: string; readonly name: string };
  /** The part is coated before long use: what touches a body or food touches no bare resin. */
  readonly isCoated?: true;
}

/** What a part touches or is claimed for; each asks for a caution. Pressure and vehicles have no rating. */
const CLAIM_DEFINITIONS = {
  mains: {
    label: 'mains voltage near it',
    caution:
      'Printed resin is not tested insulation, and it burns. Mains parts and battery contacts must be certified; a licensed electrician decides by the local code. Never let cells touch a bare printed holder under load.',
    rating: { word: 'mains', name: 'mains voltage' },
  },
  skin: {
    label: 'worn on skin',
    caution:
      'Under-cured resin can make skin allergic for life. Use only a resin rated for skin, washed and cured as its datasheet says. This program cannot confirm that it is safe.',
    rating: { word: 'skin', name: 'skin' },
    isCoated: true,
  },
  mouth: {
    label: 'in or near the mouth or an eye',
    caution:
      'In or near the mouth or an eye, use only a rated resin and a validated process. A licensed professional must make and fit the part. This program only computes sizes.',
    rating: { word: 'mouth', name: 'the mouth' },
    isCoated: true,
  },
  food: {
    label: 'touches food or drink',
    caution:
      'Layer lines trap food, and most resins must not touch food. Use a rated resin with a coating, or another material. Local food rules apply.',
    rating: { word: 'food', name: 'food' },
    isCoated: true,
  },
  sterile: {
    label: 'must be sterile',
    caution:
      'Use only a resin rated for it, after the full wash and cure of its datasheet, in a validated cycle and by a licensed professional. Steam also needs heat resistance and may deform a part that is only clean.',
    rating: { word: 'sterile', name: 'sterile use' },
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
  heat: {
    label: 'near a flame or a hot surface',
    caution:
      'Cured resin softens, then burns. Keep it away from flames and heaters. Hot plastic formed or moulded over it sticks and burns skin: wear heat gloves, and try the hottest step on a spare part first.',
    rating: { word: 'flame', name: 'flame or hot surfaces' },
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
} as const satisfies Readonly<Record<string, ClaimDefinition>>;

export type Claim = keyof typeof CLAIM_DEFINITIONS;
export const CLAIMS = keysOf(CLAIM_DEFINITIONS);

export const claimOf = (claim: Claim): ClaimDefinition => CLAIM_DEFINITIONS[claim];

/** How a sentence names a rating; a rating that belongs to no claim is named by its own word. */
export const nameRating = (rating: string): string =>
  CLAIMS.map((claim) => claimOf(claim).rating).find((each) => each?.word === rating)?.name ?? rating;
