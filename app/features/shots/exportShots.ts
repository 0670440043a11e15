import { clubAndShot } from '@pedastance/core/club';
import type { Student, LogEntry } from '@pedastance/contract';
import { standingShots } from '@pedastance/contract/trialLog';
import { addressesIn } from '@pedastance/contract/standing';
import { shotRows, OUR_HEADERS } from '@pedastance/core/formats';
import Papa from 'papaparse';
import { saveFile, fileName } from '../../ui/files';

/** All shots of a student as a file, each with its time, club and setup. */
export function exportShots(student: Student, entries: readonly LogEntry[]): void {
  const own = entries.filter((entry) => entry.studentId === student.id);
  const addresses = addressesIn(own);
  const rows = standingShots(own).flatMap(({ madeAt, addressId, place, shots }) => {
    const address = addresses.get(addressId);
    const club = address ? clubAndShot(address.club, address.shot) : '';
    const setup = !place ? '' : place.warmUp ? 'warm-up' : place.arm;
    return shotRows(shots, student.hand).map((row) => [madeAt, club, setup, ...row]);
  });
  const text = Papa.unparse([['when', 'with', 'setup', ...OUR_HEADERS], ...rows], { newline: '\r\n' });
  saveFile(fileName(`shots of ${student.name}`, 'csv'), text, 'text/csv');
}
