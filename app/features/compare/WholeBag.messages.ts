import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  width: 'Width',
  ballInside: 'Ball inside',
  ballOut: 'Ball out',
  line: 'Line',
  onLead: 'On lead',
  leadFlare: 'Lead flare',
  trailFlare: 'Trail flare',
  theBagARow: 'The bag, a row a club',
  theBag: 'The bag',
  showOnThePlan: (name: Said) => `Show on the plan: ${name}`,
  method: 'Method',
  school: (name: Said) => `${name} (school)`,
  feet: 'Feet',
  asTheMethodTeaches: 'As the method teaches',
  asThisBodyNeeds: 'As this body needs it',
  theFeetAsHasThem: (nameOf: Said, name: Said) => `${nameOf}: the feet as “${name}” has them`,
  solidDashedDriverIron: (nameOf: Said) =>
    `Solid: ${nameOf}. Dashed: driver, 7-iron and lob wedge. Middles of the bands, laid on the lead toe and the ball’s line.`,
};
