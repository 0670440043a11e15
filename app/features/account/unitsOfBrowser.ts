import type { Units } from '@pedastance/core/units';

/** Countries whose coaches think in inches and miles, and those who think in yards (common practice, no source). */
const INCHES = ['US', 'LR', 'MM'];
const YARDS = [...INCHES, 'GB', 'IE', 'CA', 'AU', 'NZ', 'ZA'];

/**
 * The units a coach likely reads, by the language of the browser.
 * @param language as the browser tells it, such as "en-US"
 */
export function unitsOfBrowser(language: string): Units {
  const region = new Intl.Locale(language || 'en').maximize().region ?? '';
  return {
    length: INCHES.includes(region) ? 'inches' : 'cm',
    distance: YARDS.includes(region) ? 'yards' : 'metres',
    speed: YARDS.includes(region) ? 'miles an hour' : 'kilometres an hour',
  };
}
