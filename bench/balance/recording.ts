/** Times bringing in a recording: ten seconds at 200 frames of two grids of 16 by 8 cells, read, phased and made ready to draw. */
import {
  odditiesOf,
  patternsIn,
  readPressure,
  recordingOfTrace,
  routeOf,
  swingsFound,
  tracesOf,
} from '@pedastance/core/balance';
import Papa from 'papaparse';
import { MAT_GRID, simulatedMat } from '../../server/devices/mat/simulatedMat';
import { onTheMat } from '../../server/test/mats';

const RATE = 200;
const SECONDS = 10;

/** The simulated mat's frames, each cell a column of its own. */
function textOf(): string {
  const mat = simulatedMat(onTheMat('recording'));
  const cells = (side: string) =>
    Array.from(
      { length: MAT_GRID.rows * MAT_GRID.columns },
      (_, cell) => `${side}_${Math.floor(cell / MAT_GRID.columns)}_${cell % MAT_GRID.columns}`,
    );
  // The mat gives a hundred frames a second: each stands twice, for the size of the file.
  const rows = Array.from({ length: RATE * SECONDS }, (_, at) => {
    const { lead, trail } = mat.frame(600 + Math.floor(at / 2));
    return [(1000 * at) / RATE, ...lead.flat(), ...trail.flat()].join(',');
  });
  return [['time_ms', ...cells('left'), ...cells('right')].join(','), ...rows].join('\n');
}

const text = textOf();
const times = Array.from({ length: 15 }, () => {
  const began = performance.now();
  const read = readPressure(Papa.parse<string[]>(text, { skipEmptyLines: true }).data, 'right');
  if ('faults' in read) throw new Error(JSON.stringify(read.faults[0]));
  const found = swingsFound(read.recording);
  odditiesOf(read.recording, found);
  if (found.swings.length === 0) throw new Error('no swing found');
  const traces = tracesOf(read.recording, found.swings);
  patternsIn(
    traces.map((trace) => routeOf(recordingOfTrace(trace), trace.times)),
    'centred',
  );
  return performance.now() - began;
}).sort((a, b) => a - b);
console.log(
  `A recording of ${(text.length / 1e6).toFixed(1)} MB: median ${times[7]!.toFixed(0)} ms, worst ${times[14]!.toFixed(0)} ms`,
);
