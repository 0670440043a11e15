// Goes through the exhaustive grid for every drawn body and keeps what it finds: `npm run grid`.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawnBodies, markOf, MOST_BY_GRID } from './drawnBodies';
import { leastByGrid } from './grid';

const found = drawnBodies().map(({ grid }) => ({
  problem: markOf(grid),
  least: leastByGrid(grid, MOST_BY_GRID, true),
}));
const lines = found.map((each) => `  ${JSON.stringify(each)}`).join(',\n');
writeFileSync(join(__dirname, 'data', 'leastByGrid.json'), `[\n${lines}\n]\n`);
