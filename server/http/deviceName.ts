import { parse } from 'bowser';

/** What a coach knows a device by, from what its browser calls itself: "Chrome on Android"; empty where it says nothing. */
function deviceName(userAgent: string): string {
  if (userAgent === '') return '';
  const { browser, os } = parse(userAgent);
  return [browser.name, os.name].filter(Boolean).join(' on ');
}

/** What is told of devices, each by the name that a coach knows it by. */
export const withDeviceNames = <Told extends { device: string }>(told: readonly Told[]): Told[] =>
  told.map((each) => ({ ...each, device: deviceName(each.device) }));
