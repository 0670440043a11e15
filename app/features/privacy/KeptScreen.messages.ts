/** What is kept, where, for how long and who reaches it. */
export const messages = {
  title: 'What is kept where',
  parts: [
    {
      heading: 'Of a student',
      lines: [
        'Name, hand, year or day of birth, build and shoe.',
        'Cautions and facts about pain, injury and operations, in your words.',
        'What they came for, every address, reading, change, trial and shot, with who taught.',
        'Tests of the legs, ladders and other field tests, and swings on a pressure mat.',
        'Cards to take home, the links to them, what was ticked on them, and whether somebody asked when it hurt.',
        'Photos of the feet, where there is a yes to them, without what the camera wrote in.',
        'Who said yes to keeping it, and when.',
      ],
    },
    {
      heading: 'On the server',
      lines: [
        'Everything, in your academy’s part of the database. No other academy can reach it.',
        'The log only grows. Erasing a student is its one exception.',
        'A fingerprint of each thing that a device sent, so that nothing lands twice.',
        'Backups are the work of whoever runs the server. Restoring one erases again whoever was erased.',
      ],
    },
    {
      heading: 'On this device',
      lines: [
        'Copies of the students you opened, so that you can teach without a signal.',
        'Lessons in progress and what is not sent yet, until it is sent.',
        'Copies end when you sign out, or after 30 days without the server. What is not sent stays until it is sent.',
        'Whoever holds this device unlocked can read them. Lock it.',
      ],
    },
    {
      heading: 'Erasing',
      lines: [
        'An owner asks, types the name, and can take it back for a day.',
        'Then everything that names or measures the student is removed, and devices follow at their next contact.',
        'What stays is that somebody was erased, without a name, so that nothing brings them back.',
        'A file or a print that left the product is yours to destroy.',
      ],
    },
    {
      heading: 'Nowhere',
      lines: [
        'Nothing is sent to anybody else. No mail, no maps, no counting of visits.',
        'This is coaching support, not medical advice.',
      ],
    },
  ],
};
