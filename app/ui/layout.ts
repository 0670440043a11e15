import { useWindowDimensions } from 'react-native';

/** From here on lists and detail, plan and work, stand side by side. */
const WIDE_PX = 960;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE_PX;
