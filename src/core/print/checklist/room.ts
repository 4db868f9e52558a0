import { type KnownState, question } from './question';

/** A room whose window stands open while it prints cools by about this much after it was measured, K. */
const OPEN_WINDOW_K = 2;

/** Warm enough; colder than the datasheet requires; or so close to it that an open window decides. */
function warmth(roomC: number | undefined, leastC: number | undefined, marginK: number): KnownState {
  if (leastC === undefined) return 'well';
  if (roomC === undefined) return 'ask';
  return roomC < leastC ? 'bad' : roomC < leastC + marginK ? 'ask' : 'well';
}

export const ROOM = question({
  name: 'Room warm enough',
  ask: ({ roomC, resin: { leastRoomC: leastC }, practices }) => {
    const marginK = practices.air === 'window' ? OPEN_WINDOW_K : 0;
    return { facts: { roomC, leastC, marginK }, known: warmth(roomC, leastC, marginK) };
  },
  text: ({ roomC, leastC, marginK }) => {
    if (leastC === undefined) return 'The datasheet of this resin states no minimum temperature.';
    if (roomC === undefined) return `Needs at least ${leastC} °C. The room temperature is unknown.`;
    const said = `Now ${roomC} °C; at least ${leastC} °C is needed.`;
    return roomC >= leastC && roomC < leastC + marginK
      ? `${said} An open window cools the room by about ${marginK} °C. Close the window during the print, or warm the room.`
      : said;
  },
});

const AIR_WORDS = {
  window: 'Open the window.',
  filter: 'Switch the filter on. Change its charcoal when it smells.',
  lowOdour: 'Your shop prints low-odour resins. Open a window anyway: a vapour without smell can still harm.',
} as const;
const GLOVE_WORDS = {
  thin: 'New thin nitrile gloves.',
  heavy: 'Heavy gloves, undamaged and clean inside.',
  wetOnly: 'Wear gloves from the first contact with anything wet.',
} as const;

export const AIR = question({
  name: 'Air and gloves',
  caution:
    'Vapour makes you dizzy, and solvent burns. Keep flames, irons and heat guns away. Take your gloves off before you touch a keyboard or a phone.',
  ask: ({ practices: { air, gloves } }) => ({ facts: { air, gloves }, known: 'ask' }),
  text: ({ air, gloves }) => `${AIR_WORDS[air]} ${GLOVE_WORDS[gloves]}`,
});
