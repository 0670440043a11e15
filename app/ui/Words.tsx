import type { ReactNode } from 'react';
import { Text, type TextProps } from 'react-native';

type Words = TextProps & { children?: ReactNode; className?: string };

export const Title = ({ className = '', ...props }: Words) => (
  <Text
    role="heading"
    aria-level={1}
    className={`font-heading text-2xl font-bold text-ink ${className}`}
    {...props}
  />
);

export const Heading = ({ className = '', ...props }: Words) => (
  <Text
    role="heading"
    aria-level={2}
    className={`font-heading text-lg font-bold text-ink ${className}`}
    {...props}
  />
);

export const Body = ({ className = '', ...props }: Words) => (
  <Text className={`font-text text-base text-ink ${className}`} {...props} />
);

export const Quiet = ({ className = '', ...props }: Words) => (
  <Text className={`font-text text-sm text-pencil ${className}`} {...props} />
);

export const FigureWords = ({ className = '', ...props }: Words) => (
  <Text className={`figures font-text text-xl font-semibold text-ink ${className}`} {...props} />
);
