import { consentCounts } from './consentCounts';

const STEPS = [
  { given: false, photos: false, sharing: false },
  { given: true, photos: false, sharing: false },
  { given: true, photos: true, sharing: false },
  { given: true, photos: true, sharing: true },
];

test('what takes back counts whatever was known; what allows more only where the newest answer was known', () => {
  STEPS.forEach((newest, from) =>
    STEPS.forEach((word, to) =>
      [null, 'older', 'newest'].forEach((after) =>
        expect(consentCounts({ ...word, after }, { ...newest, id: 'newest' })).toBe(
          to <= from || after === 'newest',
        ),
      ),
    ),
  );
});

test('the first yes counts where it was given knowing of none', () => {
  STEPS.forEach((word, to) => {
    expect(consentCounts({ ...word, after: null }, null)).toBe(true);
    expect(consentCounts({ ...word, after: 'gone' }, null)).toBe(to === 0);
  });
});
