import { useEffect, useState, type ReactNode, type RefObject } from 'react';
import { Modal, ScrollView, View } from 'react-native';
import { Button } from '../ui/Button';
import { Body, Heading } from '../ui/Words';
import { whenPressedLong } from './longPress';
import { common } from '../domain/common.messages';
import { messages } from './Explain.messages';

interface Sign {
  sign: ReactNode;
  words: string;
}

const TURN_SIGNS: readonly Sign[] = [
  {
    sign: <path className="wing" d="M4 24L40 24A36 36 0 0 0 22 -7Z" />,
    words: messages.howFarTheHipsTurn,
  },
  {
    sign: (
      <>
        <line className="pin" x1="10" y1="24" x2="32" y2="8" />
        <circle className="pin-head" cx="34" cy="6" r="4" />
      </>
    ),
    words: messages.howFarTheyNeed,
  },
  {
    sign: <rect className="missing" x="4" y="4" width="36" height="20" fill="url(#legend-hatch)" />,
    words: messages.whatIsMissing,
  },
  {
    sign: (
      <line
        className="leg"
        data-short="true"
        x1="12"
        y1="14"
        x2="32"
        y2="14"
        strokeWidth="13"
        strokeLinecap="round"
      />
    ),
    words: messages.theLegThatStops,
  },
];

const FEET_SIGNS: readonly Sign[] = [
  {
    sign: <circle className="load" cx="22" cy="14" r="8" opacity="0.5" />,
    words: messages.theWeightInTheSole,
  },
  {
    sign: <line className="toe-line" x1="2" y1="14" x2="42" y2="14" />,
    words: messages.theStanceLineThrough,
  },
  {
    sign: <line className="heel-line" x1="2" y1="14" x2="42" y2="14" />,
    words: messages.theLineThroughTheHeels,
  },
  {
    sign: (
      <g data-measured="false">
        <rect className="sole" x="8" y="4" width="28" height="20" rx="10" />
      </g>
    ),
    words: messages.faintNotMeasuredYet,
  },
];

const GHOST_SIGN: Sign = {
  sign: <rect className="ghost" x="8" y="4" width="28" height="20" rx="10" />,
  words: messages.dashedTheOtherFeetBefore,
};

const PATH_SIGN: Sign = {
  sign: <line className="path" x1="2" y1="18" x2="42" y2="10" />,
  words: messages.whereTheClubGoesThrough,
};

function SignRow({ sign, words }: Sign) {
  return (
    <View className="flex-row items-center gap-3">
      <svg className="plan-sign plan" viewBox="0 0 44 28" aria-hidden="true">
        {sign}
      </svg>
      <Body className="flex-1">{words}</Body>
    </View>
  );
}

interface ExplainProps {
  sheet: RefObject<HTMLElement | null>;
  /** Whether nothing that can be moved lies under a place of the page: a long press there explains. */
  free: (event: PointerEvent) => boolean;
  turn: boolean;
  path: boolean;
  ghosts: boolean;
}

/** What the plan's signs mean, behind a "?" and a long press. */
export function Explain({ sheet, free, turn, path, ghosts }: ExplainProps) {
  const [open, setOpen] = useState(false);
  useEffect(
    () => (sheet.current ? whenPressedLong(sheet.current, free, () => setOpen(true)) : undefined),
    [sheet, free],
  );
  const signs = [
    ...(turn ? TURN_SIGNS : []),
    ...FEET_SIGNS,
    ...(ghosts ? [GHOST_SIGN] : []),
    ...(path ? [PATH_SIGN] : []),
  ];
  return (
    <>
      <button
        type="button"
        className="plan-explain"
        data-part="explain"
        aria-label={messages.whatThePlanShows}
        onClick={() => setOpen(true)}
      >
        <span aria-hidden="true">?</span>
      </button>
      {open && (
        <Modal transparent visible onRequestClose={() => setOpen(false)}>
          <View className="flex-1 items-center justify-center bg-ink/60 p-4">
            <View
              role="dialog"
              aria-label={messages.whatThePlanShows}
              className="max-h-full w-full max-w-md gap-3 rounded-md bg-paper p-5"
            >
              <Heading>{messages.theFeetSeenFromAbove}</Heading>
              <svg width="0" height="0" aria-hidden="true" className="absolute">
                <pattern
                  id="legend-hatch"
                  className="hatch"
                  width="5"
                  height="5"
                  patternUnits="userSpaceOnUse"
                  patternTransform="rotate(45)"
                >
                  <path d="M0 0V5" />
                </pattern>
              </svg>
              <ScrollView className="shrink" contentContainerClassName="gap-2" tabIndex={0}>
                {signs.map((sign) => (
                  <SignRow key={sign.words} {...sign} />
                ))}
              </ScrollView>
              <Button words={common.close} onPress={() => setOpen(false)} />
            </View>
          </View>
        </Modal>
      )}
    </>
  );
}
