/** What this screen says. */
export const messages = {
  takeAPhoto: 'Take a photo',
  chooseAPhoto: 'Choose a photo',
  another: 'Another photo',
  howTo: 'Lay the printed sheet between the feet. Lay a stick along the target line.',
  whereToStand: 'Stand in front or behind, phone at chest height. Get feet, ball and sheet in.',
  noSheet:
    'No printed sheet? Lay down plain A4 or Letter paper, and tap its corners. A mat of known size does too, or only a club.',
  printA4: 'Print the sheet, A4',
  printLetter: 'Print the sheet, Letter',
  practise: 'Practise your eye',
  consentFirst: (name: string) => `First ask whether ${name} may be photographed.`,
  guardianFirst: 'A guardian has to say yes to photos first.',
  noteConsent: 'Note the consent',
  stages: {
    reading: 'Reading the photo …',
    'looking for the sheet': 'Looking for the sheet …',
    'keeping it small': 'Keeping a small copy …',
  },
  gone: 'This photo is not on this device any more. Take another.',
  faults: {
    'not a picture': 'This file is no picture. Choose a photo.',
    'too large': 'This picture is too large. Send one of at most 60 megapixels.',
    moving: 'This picture moves. Choose a still photo.',
    'cannot be read': 'This browser cannot read this picture. Save it as JPEG, then choose it again.',
    'too small': 'This picture is too small to measure. Take it with the camera itself.',
    mirrored: 'This picture is mirrored. Turn mirroring off in the camera, then take another.',
    'not kept small': 'This picture could not be made small enough. Take another.',
  },
  failed: (why: string) => `The photo was not read: ${why}`,
};
