import type { DemoTrial } from './trial';
import type {
  CautionFact,
  ScreenItem,
  EstimateAs,
  Intake,
  Item,
  Posture,
  ShoeSizeSystem,
  ShotType,
  ClubId,
  Hand,
} from '@pedastance/core';

/**
 * The demo: invented people and places, as different as real ones. Lengths in mm, offsets from the
 * middle of the house method's band in the item's own unit.
 */
export interface DemoLesson {
  daysAgo: number;
  club: ClubId;
  shot?: ShotType;
  offsets: Partial<Record<Item, number>>;
  /** What the student came for. */
  intake?: Partial<Intake>;
  /** What was looked at above the feet. */
  posture?: Posture;
  change?: { reason: string; feel: string; note?: string };
  /** Days after the lesson on which the student ticked rounds of the card. */
  ticked?: readonly number[];
  /** The trail flare from which the student turned fully, on the ladder that was gone up; degrees. */
  turnsFrom?: number;
  /** The change, tried with the simulated student and monitor. */
  trial?: DemoTrial;
  /** A rendered picture that the feet were measured in, by its name: they stand as it shows them. */
  photo?: string;
}

export interface DemoStudent {
  name: string;
  hand: Hand;
  age: number;
  cautions: string;
  /** The month and day of birth, MM-DD, where they are known. */
  bornOn?: string;
  facts?: (Pick<CautionFact, 'joint' | 'side' | 'state'> & Partial<CautionFact>)[];
  estimateAs: EstimateAs;
  height: number;
  /** Figures taken with a tape; the others are estimated from the height. */
  measured: { shoulderBreadth?: number; hipBreadth?: number; shoeLength?: number; shoeBreadth?: number };
  shoeSize?: { system: ShoeSizeSystem; size: number };
  /** Legs and trunk as screened with the newest build: one figure an item. */
  legs?: {
    angles: Partial<Record<ScreenItem, number>>;
    turnedOn?: { leadFlare: number; trailFlare: number };
    stoppedBack?: 'lead' | 'trail';
    soreKnee?: { lead: boolean; trail: boolean };
  };
  /** An older build, for a student who has grown. */
  grownFrom?: { height: number; daysAgo: number };
  /** Whether there is a yes to photos. */
  photos?: true;
  lessons: DemoLesson[];
}

export interface DemoAcademy {
  name: string;
  instructor: { name: string; email: string };
  /** Presets that are house methods here, by key; lessons were read with the first. */
  methods: string[];
  students: DemoStudent[];
}

export const DEMO_PASSWORD = 'paper-and-tape';

const LANTERN_HILL: DemoAcademy = {
  name: 'Lantern Hill Studio',
  instructor: { name: 'Marit Okonski', email: 'coach@lanternhill.example' },
  methods: ['shoulders-and-neutral', 'free-the-hips', 'forward-posted'],
  students: [
    {
      name: 'Odile Brandvold',
      hand: 'right',
      age: 66,
      bornOn: '03-14',
      cautions: 'Trail hip stiff, no pain. Walks nine holes.',
      facts: [{ joint: 'hip', side: 'right', state: 'stiff', since: 'about 2023' }],
      estimateAs: 'woman',
      height: 1640,
      measured: { shoulderBreadth: 418, hipBreadth: 334, shoeLength: 268, shoeBreadth: 98 },
      legs: {
        angles: {
          toeOutLead: 14,
          toeOutTrail: 9,
          turnInLead: 24,
          turnOutLead: 38,
          turnInTrail: 9,
          turnOutTrail: 35,
          trunkBack: 42,
          trunkThrough: 40,
          hipsBack: 29,
        },
        turnedOn: { leadFlare: 11, trailFlare: 2 },
        stoppedBack: 'trail',
      },
      lessons: [
        {
          daysAgo: 171,
          intake: { cameFor: ['swing too short', 'cannot turn back'], sport: 'rowing' },
          turnsFrom: 31,
          club: '7-iron',
          offsets: { trailFlare: -13, leadFlare: -4, stanceWidth: 42, trailHeelToe: 14 },
          change: {
            reason: 'Trail hip is stiff and its foot stood square: no room to turn.',
            feel: 'Trail hip pocket goes straight back.',
          },
        },
        {
          daysAgo: 118,
          intake: { cameFor: ['more distance'] },
          club: '7-iron',
          offsets: { trailFlare: 0, stanceWidth: 12 },
          change: {
            reason: 'Flare had crept back in toward square.',
            feel: 'Big toe points at the bag stand.',
          },
          ticked: [1, 3, 6, 8],
          trial: {
            primary: 'club speed',
            margin: 0.7,
            scatter: 0.8,
            cueB: 'Big toe points at the bag stand.',
          },
        },
        {
          daysAgo: 12,
          club: '7-iron',
          intake: { cameFor: ['just a check'] },
          offsets: { trailFlare: 11, leadFlare: 1, stanceLine: 6, ballAlong: 6 },
        },
      ],
    },
    {
      name: 'Ferris Quillon',
      hand: 'left',
      age: 38,
      bornOn: '07-02',
      cautions: '',
      estimateAs: 'man',
      height: 1815,
      measured: { shoulderBreadth: 492, hipBreadth: 338, shoeLength: 305, shoeBreadth: 112 },
      legs: {
        angles: {
          toeOutLead: 8,
          toeOutTrail: 8,
          turnInLead: 20,
          turnOutLead: 41,
          turnInTrail: 31,
          turnOutTrail: 44,
          trunkBack: 47,
        },
      },
      lessons: [
        {
          daysAgo: 140,
          intake: { cameFor: ['starts right', 'curves away'], sport: 'handball' },
          club: 'driver',
          offsets: { stanceLine: -6, ballAlong: -32, leadShare: -7 },
          change: {
            reason: 'Open stance, and the weight behind it: cuts across it.',
            feel: 'Back pocket to the target sooner.',
          },
        },
        {
          daysAgo: 61,
          intake: { cameFor: ['curves away'] },
          club: 'driver',
          offsets: { stanceLine: -6, ballAlong: -9 },
          posture: {
            figures: {
              hipBump: { value: 0, way: 'by eye', uncertainty: 12 },
              shoulderLine: { value: -1, way: 'by eye', uncertainty: 4 },
              clubFace: { value: 0, way: 'tape', uncertainty: 1 },
              hipTurn: { value: 45, way: 'by eye', uncertainty: 8 },
              shoulderTurn: { value: 90, way: 'by eye', uncertainty: 8 },
            },
            choices: { seat: 'over the heels', pressureRoute: 'centred' },
            swingPath: 'across from outside',
            tellTales: ['over the top'],
          },
          change: {
            reason: 'Stance drifts open again after the waggle.',
            feel: 'Stick at the toes until the club is down.',
            note: 'Sets the feet before the face. Turn that round.',
          },
          trial: { primary: 'straight path', margin: 1, scatter: 2, cueB: '' },
        },
      ],
    },
    {
      name: 'Pip Marrowby',
      hand: 'right',
      age: 12,
      bornOn: '06-21',
      cautions: '',
      estimateAs: 'not said',
      height: 1520,
      measured: { shoulderBreadth: 372, shoeLength: 246, shoeBreadth: 90 },
      legs: {
        angles: {
          toeOutLead: 7,
          toeOutTrail: 5,
          turnInLead: 42,
          turnOutLead: 52,
          turnInTrail: 40,
          turnOutTrail: 54,
          trunkBack: 56,
          trunkThrough: 55,
        },
      },
      grownFrom: { height: 1480, daysAgo: 160 },
      lessons: [
        {
          daysAgo: 160,
          intake: { cameFor: ['falls off balance'] },
          club: '8-iron',
          offsets: { stanceWidth: 68, leadHeelToe: 16, trailHeelToe: 18 },
          change: {
            reason: 'On the toes and far too wide: topples at the finish.',
            feel: 'Small feet, tall finish.',
          },
        },
        {
          daysAgo: 33,
          club: '8-iron',
          intake: { cameFor: ['just a check'] },
          offsets: { stanceWidth: 18, trailFlare: -2 },
        },
      ],
    },
    {
      name: 'Gunnar Oxthwaite',
      hand: 'right',
      age: 29,
      bornOn: '01-20',
      cautions: '',
      estimateAs: 'man',
      height: 2010,
      measured: { shoulderBreadth: 536, hipBreadth: 371, shoeLength: 338, shoeBreadth: 121 },
      legs: {
        angles: {
          toeOutLead: 11,
          toeOutTrail: 13,
          turnInLead: 18,
          turnOutLead: 22,
          turnInTrail: 29,
          turnOutTrail: 42,
          trunkBack: 50,
          trunkThrough: 48,
          hipsBack: 27,
        },
        turnedOn: { leadFlare: 18, trailFlare: 12 },
        stoppedBack: 'lead',
      },
      lessons: [
        {
          daysAgo: 96,
          intake: { cameFor: ['misses both ways'], sport: 'ice hockey' },
          club: '5-iron',
          offsets: { stanceWidth: -72, leadHeelToe: 15, trailHeelToe: 15 },
          change: {
            reason: 'Lead hip stops early going back, over a stance too narrow for him.',
            feel: 'Room for the knees, and the heel follows.',
          },
        },
        {
          daysAgo: 40,
          intake: { cameFor: ['thin'], words: 'Since the new irons.' },
          club: '3-wood',
          offsets: { stanceWidth: -12, ballAlong: 45 },
          change: {
            reason: 'Heel stayed down, and the ball had slid back.',
            feel: 'Heel up, heel down, hit.',
          },
        },
      ],
    },
    {
      name: 'Tamsin Wrenlow',
      hand: 'right',
      age: 51,
      bornOn: '05-09',
      cautions: '',
      estimateAs: 'woman',
      height: 1525,
      measured: { shoulderBreadth: 392, hipBreadth: 329, shoeLength: 248, shoeBreadth: 93 },
      photos: true,
      legs: {
        angles: {
          toeOutLead: 9,
          toeOutTrail: 10,
          turnInLead: 12,
          turnOutLead: 44,
          turnInTrail: 24,
          turnOutTrail: 41,
          trunkBack: 46,
          trunkThrough: 44,
        },
      },
      lessons: [
        {
          daysAgo: 87,
          intake: { cameFor: ['fat'], words: 'Only with the wedge.' },
          club: 'sand-wedge',
          shot: 'pitch',
          offsets: { leadShare: -11 },
          photo: 'feet-11',
          change: {
            reason: 'Pitches from a full-swing stance, too far on the trail foot.',
            feel: 'Lean on the lead leg and stay there.',
          },
        },
        {
          daysAgo: 40,
          club: '9-iron',
          intake: { cameFor: ['just a check'] },
          offsets: { leadFlare: -9, trailFlare: -4 },
          change: {
            reason: 'Lead foot too square: the hips stop coming through.',
            feel: 'Lead toe at the flag’s left edge.',
          },
        },
        {
          daysAgo: 26,
          club: 'sand-wedge',
          shot: 'pitch',
          intake: { cameFor: ['just a check'] },
          offsets: {},
          photo: 'feet-12',
        },
      ],
    },
    {
      name: 'Bartolo Kettlesand',
      hand: 'right',
      age: 47,
      bornOn: '02-11',
      cautions: 'Left knee hurts on the way downstairs. Sees a physiotherapist.',
      facts: [{ joint: 'knee', side: 'left', state: 'pain', since: 'spring' }],
      estimateAs: 'man',
      height: 1760,
      measured: { shoulderBreadth: 471, shoeLength: 292, shoeBreadth: 107 },
      legs: {
        angles: {
          toeOutLead: 10,
          toeOutTrail: 11,
          turnInLead: 26,
          turnOutLead: 40,
          turnInTrail: 28,
          turnOutTrail: 40,
        },
        soreKnee: { lead: true, trail: false },
      },
      lessons: [
        {
          daysAgo: 74,
          intake: { cameFor: ['sore'], sore: 'left knee, on stairs' },
          club: '6-iron',
          offsets: { leadFlare: -14, trailFlare: 2, leadShare: 6 },
          change: { reason: 'Lead foot dead square under a sore knee.', feel: 'Lead toe looks at the hole.' },
        },
        {
          daysAgo: 19,
          intake: { cameFor: ['just a check'] },
          club: '6-iron',
          offsets: { leadFlare: -5, stanceWidth: 31 },
          change: {
            reason: 'The stance had crept wide, and the lead foot back toward square.',
            feel: 'Small feet, lead toe at the hole.',
          },
        },
      ],
    },
    {
      name: 'Wilhelmina Applethwaite-Santoriello',
      hand: 'right',
      age: 58,
      bornOn: '04-30',
      cautions: '',
      estimateAs: 'woman',
      height: 1690,
      measured: {},
      shoeSize: { system: 'EU', size: 39 },
      legs: {
        angles: {
          toeOutLead: 15,
          toeOutTrail: 17,
          turnInLead: 27,
          turnOutLead: 36,
          turnInTrail: 14,
          turnOutTrail: 39,
        },
      },
      lessons: [
        {
          daysAgo: 55,
          intake: { cameFor: ['starts right'], sport: 'tennis' },
          club: 'hybrid',
          offsets: { stanceWidth: 34, stanceLine: 5 },
          change: {
            reason: 'The feet were closed without her knowing it.',
            feel: 'Both toes on the stick.',
          },
        },
      ],
    },
    {
      name: 'Ruben Dandelisle',
      hand: 'left',
      age: 24,
      cautions: '',
      estimateAs: 'man',
      height: 1845,
      measured: { shoulderBreadth: 512, hipBreadth: 346, shoeLength: 308, shoeBreadth: 114 },
      legs: {
        angles: {
          toeOutLead: 6,
          toeOutTrail: 5,
          turnInLead: 46,
          turnOutLead: 58,
          turnInTrail: 48,
          turnOutTrail: 55,
          trunkBack: 58,
          trunkThrough: 56,
        },
      },
      lessons: [],
    },
  ],
};

const SALT_HARBOUR: DemoAcademy = {
  name: 'Salt Harbour Academy',
  instructor: { name: 'Teodor Brask', email: 'coach@saltharbour.example' },
  methods: ['shoulders-and-neutral', 'by-the-arc'],
  students: [
    {
      name: 'Linnea Foxgrove',
      hand: 'right',
      age: 34,
      bornOn: '08-08',
      cautions: '',
      estimateAs: 'woman',
      height: 1702,
      measured: { shoulderBreadth: 431, hipBreadth: 335, shoeLength: 272, shoeBreadth: 99 },
      legs: {
        angles: {
          toeOutLead: 8,
          toeOutTrail: 7,
          turnInLead: 30,
          turnOutLead: 45,
          turnInTrail: 19,
          turnOutTrail: 46,
          trunkBack: 48,
        },
      },
      lessons: [
        {
          daysAgo: 30,
          intake: { cameFor: ['thin'] },
          club: '7-iron',
          offsets: { ballAlong: 40 },
          change: { reason: 'Ball behind the middle with an iron.', feel: 'Ball off the lead ear.' },
        },
      ],
    },
  ],
};

/** The first academy's sign-in is the one printed at the start. */
export const DEMO_ACADEMIES: readonly DemoAcademy[] = [LANTERN_HILL, SALT_HARBOUR];
