/**
 * Facts that a coach's note seems to say. They are suggestions to confirm or to wave away, and bar nothing by
 * themselves; the words and patterns are starting values, tried on notes made from templates and by hand.
 */
import type { Hand } from './build';
import {
  JOINTS_WITHOUT_SIDES,
  legsOn,
  sameFact,
  WHOLE_BODY_STATES,
  type BodySide,
  type FactKey,
  type FactState,
  type Joint,
} from './facts';

/** Where each joint is spoken of. The back is many things in golf, and a joint only where a body part is meant. */
const JOINT_WORDS: readonly [Joint, RegExp][] = [
  ['hip', /\bhips?\b/],
  ['knee', /\bknees?\b|\bmeniscus\b|\bacl\b|\bkneecaps?\b/],
  ['ankle', /\bankles?\b|\bachilles\b/],
  [
    'lower back',
    /\blower back\b|\blow back\b|\bsciatica\b|\blumbar\b|\bspine\b|\bdis[ck]s?\b|\b(?:his|her|my|their|the|a|bad|sore|stiff|tight|aching|achy|painful)\s+back\b(?!\s*(?:nine|swing|foot|leg|hand|tee|tees|yard|in\b|to\b|of\b))|\bback\s+(?:pain|ache|aches|trouble|surgery|operation|spasms?|hurts|is\s+(?:sore|stiff|bad|painful|tight)|was\s+operated|went|goes|locks|plays up|fusion|operated|fused|stiff|sore)\b|\bbackache\b/,
  ],
  ['shoulder', /\bshoulders?\b|\brotator cuff\b/],
  ['neck', /\bneck\b/],
  ['wrist', /\bwrists?\b/],
  [
    'other',
    /\belbows?\b|\bthumbs?\b|\bfingers?\b|\bfoot\b|\bfeet\b|\btoes?\b|\bheels?\b|\bribs?\b|\bhands?\b|\bcalf\b|\bcalves\b|\bhamstrings?\b|\bgroin\b/,
  ],
];

const PAIN =
  /\bpain(?:s|ful|fully)?\b|\bsore(?:ness)?\b|\bach(?:e|es|ed|ing|y)\b|\bhurt(?:s|ing)?\b|\barthriti[sc]\b|\bosteoarthritis\b|\btend[io]n[io]tis\b|\btendinopathy\b|\bsciatica\b|\binflamed\b|\binflammation\b|\btwinges?\b|\bniggl(?:e|es|ing|y)\b|\bstrained\b|\bsprain(?:ed)?\b|\bswollen\b|\bplays? up\b|\bgiv(?:es|ing) (?:him|her|them) trouble\b|\bbackache\b|\bspasms?\b|\bback trouble\b|\bslipped dis[ck]\b|\bbursitis\b|\bplantar fasciitis\b|\b(?:bad|dodgy|gammy)\s+(?:(?:left|right|lead|trail)\s+)?(?:hips?|knees?|ankles?|back|shoulders?|neck|wrists?|elbows?|foot|thumbs?)\b|\b(?:hips?|knees?|ankles?|back|shoulders?|neck|wrists?|elbows?)\s+(?:is|are)\s+bad\b/;

const STATE_WORDS: readonly [FactState, RegExp][] = [
  ['pain', PAIN],
  [
    'stiff',
    /\bstiff(?:ness|er)?\b|\btight(?:ness)?\b(?!\s*(?:lies?|fairways?|lie|grip))|\block(?:s|ed)\s+up\b|\bhardly (?:turns|bends|moves)\b|\bdoes not (?:bend|turn|rotate) (?:much|far)\b|\bfrozen\b|\blimited (?:range|mobility|rotation)\b/,
  ],
  [
    'operated',
    /\boperat(?:ed|ion)\b|\bsurger(?:y|ies)\b|\barthroscop\w+\b|\bfus(?:ed|ion)\b|\breconstruct(?:ed|ion)\b|\bmeniscus\s+(?:repair(?:ed)?|removed|out)\b|\bkeyhole\b|\bpins?\s+in\b|\bplate\s+in\b/,
  ],
  [
    'replaced',
    /\breplac(?:ed|ement)\b|\bnew\s+(?:left\s+|right\s+)?(?:hip|knee|shoulder|ankle|wrist)\b|\bartificial\b|\bprosthe\w+\b/,
  ],
  [
    'dizzy or numb',
    /\bdizz(?:y|iness)\b|\bnumb(?:ness)?\b(?!\s*er)|\btingl(?:es|ing)\b|\bvertigo\b|\blight-?headed\b|\bpins and needles\b/,
  ],
  [
    'recent fall',
    /\b(?:fell|fallen)\b(?!\s+(?:in love|short|apart|behind|off|asleep))|\bhad a (?:bad )?fall\b|\ba fall (?:last|in|on|at)\b|\bfalls? (?:lately|recently)\b/,
  ],
  ['growing', /\bgrowth spurts?\b|\bgrowing pains?\b|\bgrowing fast\b|\bgrew \d+ ?cm\b|\bshot up\b/],
];

/** A clause that says something is not so, is over, or is of somebody else, suggests nothing. */
const NOT_SO =
  /\b(?:no|not|never|without|nor|denies|free of|nothing|none)\b(?!\s+(?:longer\s+)?(?:bend|turn|rotate|cleared|able))|\bpain-?free\b|\bpainless\b|\bno longer\b|\bused to\b|\ball (?:gone|clear|fine)\b|\bgone now\b|\bhealed\b|\bfine now\b|\bbetter now\b/;
const SOMEBODY_ELSE =
  /\b(?:wife|husband|son|daughter|brother|sister|father|mother|dad|mum|mom|friend|neighbour|partner|caddie|dog|boss|uncle|aunt|cousin|teammate)(?:’s|'s|s)?\b/;
/** Words of pain that are said of other things than bodies. */
const FIGURE_OF_SPEECH =
  /\bsore (?:loser|point|spot|about)\b|\bpainful(?:ly)? (?:to watch|slow|honest|truth|loss|miss|lesson)\b|\bhurts? (?:his|her|their|the) (?:score|scores|handicap|pride|feelings|chances|rhythm)\b|\bpain in the backside\b|\bno pain,? no gain\b|\bheart ?ache\b|\bstiff (?:competition|shafts?|wind|breeze|drink|flex)\b|\btight (?:fairways?|lies?|schedule|budget|draw|fit)\b|\bheads? ?aches?\b|\bfell (?:in love|short|apart)\b|\breplac\w+ (?:the |his |her |their |a |all )?(?:divots?|grips?|clubs?|driver|shafts?|wedges?|putter|shoes|glove|balls?|irons)\b|\bnumb\w* to\b|\boperat\w+ (?:a|the|his|her) (?:business|company|crane|machine|camera|shop|cart|buggy)\b|\b(?:balls?|putts?|leaves|score) (?:fell|fall|falls)\b/;

const clausesOf = (note: string): string[] =>
  note
    .toLowerCase()
    .replace(/[’]/g, "'")
    .split(/[.;,:!?\n()]+|\s+but\s+|\s+though\s+|\s+while\s+/)
    .map((clause) => clause.trim())
    .filter(Boolean);

/** The side of the body that a clause speaks of, lead and trail by the hand. */
function sideIn(clause: string, hand: Hand): BodySide {
  const namesLegOn = (side: 'left' | 'right') =>
    legsOn(side, hand).some((leg) => new RegExp(`\\b${leg}\\b`).test(clause));
  const left = /\bleft\b/.test(clause) || namesLegOn('left');
  const right = /\bright\b(?!\s+(?:away|now|after))/.test(clause) || namesLegOn('right');
  return left === right ? 'both' : left ? 'left' : 'right';
}

/** The joints that a clause is about, and on which side. */
interface Named {
  joints: readonly Joint[];
  side: BodySide;
}

function factsIn(clause: string, before: Named, hand: Hand): { facts: FactKey[]; named: Named } {
  const joints = JOINT_WORDS.filter(([, words]) => words.test(clause)).map(([joint]) => joint);
  // "Hip replaced, still sore": what goes on about the joint that was named just before.
  const named = joints.length > 0 ? { joints, side: sideIn(clause, hand) } : before;
  if (SOMEBODY_ELSE.test(clause) || FIGURE_OF_SPEECH.test(clause) || NOT_SO.test(clause)) {
    return { facts: [], named };
  }
  const states = STATE_WORDS.filter(([, words]) => words.test(clause)).map(([state]) => state);
  const facts = states.flatMap((state): FactKey[] => {
    if (WHOLE_BODY_STATES.includes(state)) return [{ joint: 'other', side: 'both', state }];
    return named.joints.map((joint) => ({
      joint,
      side: JOINTS_WITHOUT_SIDES.includes(joint) ? 'both' : named.side,
      state,
    }));
  });
  return { facts, named };
}

/**
 * The facts that a note seems to say, each once, for the coach to confirm or wave away.
 * @param note the coach’s own words
 * @param hand says which side of the body leads
 * @returns joint, side of the body and state; none where the note says that it is not so
 * @example factsSuggestedBy('Lead knee sore after the round', 'right') // [{ joint: 'knee', side: 'left', state: 'pain' }]
 */
export function factsSuggestedBy(note: string, hand: Hand): FactKey[] {
  let named: Named = { joints: [], side: 'both' };
  const found = clausesOf(note).flatMap((clause) => {
    const said = factsIn(clause, named, hand);
    named = said.named;
    return said.facts;
  });
  return found.filter((fact, at) => found.findIndex((other) => sameFact(other, fact)) === at);
}
