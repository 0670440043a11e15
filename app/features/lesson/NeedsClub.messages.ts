/** What this screen says. */
export const messages = {
  widthFlareBallAndBalance: 'Width, flare, ball and balance all go by the club. Choose it first.',
  chooseAClub: 'Choose a club',
};
