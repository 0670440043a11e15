import {
  SCREEN_ITEMS,
  SCREEN_DEFINITIONS,
  type Screen,
  type ScreenItem,
  type ScreenedItem,
  type StoodOn,
} from '@pedastance/core/body';

/** What each item is called, and how it is taken. */
export const SCREEN_WORDS: Record<ScreenItem, { name: string; how: string }> = {
  toeOutLead: { name: 'Natural toe-out, lead', how: 'March on the spot, stop, look at the feet.' },
  toeOutTrail: { name: 'Natural toe-out, trail', how: 'March on the spot, stop, look at the feet.' },
  turnInLead: {
    name: 'Lead leg, turned in',
    how: 'Stand tall, lead foot just off the ground, pelvis still; turn the foot in.',
  },
  turnOutLead: { name: 'Lead leg, turned out', how: 'The same foot in the air, turned out.' },
  turnInTrail: {
    name: 'Trail leg, turned in',
    how: 'Trail foot just off the ground, pelvis still; turn the foot in.',
  },
  turnOutTrail: { name: 'Trail leg, turned out', how: 'The same foot in the air, turned out.' },
  trunkBack: {
    name: 'Trunk, seated, going back',
    how: 'Sit, knees still, turn the shoulders away from the target.',
  },
  trunkThrough: {
    name: 'Trunk, seated, going through',
    how: 'Sit, knees still, turn the shoulders toward the target.',
  },
  hipsBack: {
    name: 'Hips in posture, going back',
    how: 'On these feet, turn the hips back as far as is comfortable.',
  },
  shouldersBack: { name: 'Shoulders in posture, going back', how: 'The same, and then the shoulders.' },
  hipsThrough: {
    name: 'Hips in posture, going through',
    how: 'On these feet, turn the hips through as far as is comfortable.',
  },
  shouldersThrough: { name: 'Shoulders in posture, going through', how: 'The same, and then the shoulders.' },
  levelTurnBack: {
    name: 'Level turn, going back',
    how: 'On these feet, a club across the shoulders: turn back until the shoulders start to tip. Enough where the legs cannot be tested today.',
  },
};

const NOTHING: Omit<ScreenedItem, 'item'> = {
  tries: [],
  by: 'typed',
  uncertainty: null,
  pain: '',
  takenAt: null,
};

export const itemIn = (screen: Screen, item: ScreenItem): ScreenedItem =>
  screen.items.find((each) => each.item === item) ?? { item, ...NOTHING };

/** A screen with one item changed; an item whose tries were all removed is left out. */
export function withScreened(screen: Screen, item: ScreenItem, change: Partial<ScreenedItem>): Screen {
  const changed = { ...itemIn(screen, item), ...change };
  // An item that was not taken has no rough try.
  if (changed.tries.length === 0) Object.assign(changed, { by: NOTHING.by, uncertainty: null });
  const empty = changed.tries.length === 0 && changed.pain === '';
  const others = screen.items.filter((each) => each.item !== item);
  const items = (empty ? others : [...others, changed]).sort(
    (a, b) => SCREEN_ITEMS.indexOf(a.item) - SCREEN_ITEMS.indexOf(b.item),
  );
  return { ...screen, items };
}

/** The feet a turn is taken on where nothing is said of them (starting value), degrees. */
export const STOOD_ON: StoodOn = { leadFlare: 15, trailFlare: 15, toeLine: 0 };

export const takesTheTurn = (screen: Screen): boolean =>
  screen.items.some(({ item }) => SCREEN_DEFINITIONS[item].part === 'turn');
