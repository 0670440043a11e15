import type { ReactNode } from 'react';
import { Text, type TextProps } from 'react-native';

/** A text takes its colour from here alone: of two colour classes the order in the style sheet would decide. */
const TONES = {
  ink: 'text-ink',
  pencil: 'text-pencil',
  paper: 'text-paper',
  lagoon: 'text-lagoon',
  rust: 'text-rust',
  moss: 'text-moss',
  'on-straw': 'text-on-straw',
} as const;

type Words = TextProps & { children?: ReactNode; className?: string; tone?: keyof typeof TONES };

/** A figure and its unit stay on one line. */
const UNITS = /(\d) (cm|mm|in|m|yd|mph|m\/s|km\/h)\b/g;
const withUnitsKept = (children: ReactNode): ReactNode =>
  typeof children === 'string' ? children.replace(UNITS, '$1\u00a0$2') : children;

const words = (look: string, usual: keyof typeof TONES) =>
  function Words({ className = '', tone = usual, children, ...props }: Words) {
    return (
      <Text className={`${look} ${TONES[tone]} ${className}`} {...props}>
        {withUnitsKept(children)}
      </Text>
    );
  };

const TitleWords = words('font-heading text-2xl font-bold', 'ink');
const HeadingWords = words('font-heading text-lg font-bold', 'ink');

export const Title = (props: Words) => <TitleWords role="heading" aria-level={1} {...props} />;
export const Heading = (props: Words) => <HeadingWords role="heading" aria-level={2} {...props} />;
export const Body = words('font-text text-base', 'ink');
export const Quiet = words('font-text text-sm', 'pencil');
export const FigureWords = words('figures font-text text-xl font-semibold', 'ink');
/** A figure to be read from three metres. */
export const HugeFigure = words('figures font-text text-[104px] leading-[112px] font-bold', 'ink');
/** The same for a figure with its unit beside it. */
export const WideFigure = words('figures font-text text-[72px] leading-[80px] font-bold', 'ink');
/** A figure to be read from the ball. It takes its size from here alone, for the same reason as its colour. */
export const LargeFigure = words('figures font-text text-4xl font-bold', 'ink');
