import { unitsOfBrowser } from './unitsOfBrowser';

test('each quantity by the country of the browser', () => {
  expect(unitsOfBrowser('en-US')).toEqual({ length: 'inches', distance: 'yards', speed: 'miles an hour' });
  expect(unitsOfBrowser('en-GB')).toEqual({ length: 'cm', distance: 'yards', speed: 'miles an hour' });
  expect(unitsOfBrowser('de')).toEqual({ length: 'cm', distance: 'metres', speed: 'kilometres an hour' });
  expect(unitsOfBrowser('')).toEqual(unitsOfBrowser('en-US'));
});
