import { parse } from 'bowser';

/** What a coach knows a device by, from what its browser calls itself: "Chrome on Android"; empty where it says nothing. */
export function deviceName(userAgent: string): string {
  if (userAgent === '') return '';
  const { browser, os } = parse(userAgent);
  return [browser.name, os.name].filter(Boolean).join(' on ');
}
