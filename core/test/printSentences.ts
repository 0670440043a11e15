// Prints every sentence of the lesson's own screens, to be read aloud.
import { everySentence } from './everySentence';

for (const [where, sentences] of Object.entries(everySentence())) {
  console.log(`\n${where}`);
  for (const sentence of sentences) console.log(`  ${sentence}`);
}
