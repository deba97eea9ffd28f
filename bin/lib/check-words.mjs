// Every t('…') with a plain key in the front end has its words in the English locale file.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const words = JSON.parse(readFileSync('resources/js/locales/en.json', 'utf8'));
const has = (key) => typeof key.split('.').reduce((node, part) => node?.[part], words) === 'string';
const files = readdirSync('resources/js', { recursive: true, encoding: 'utf8' }).filter((file) => /\.(vue|ts)$/.test(file));
const missing = [];
for (const file of files) {
  const source = readFileSync(join('resources/js', file), 'utf8');
  for (const [, key] of source.matchAll(/\bt\(\s*'([\w.]+)'/g)) if (!has(key)) missing.push(`${file}: ${key}`);
}
if (missing.length > 0) {
  console.error(missing.join('\n'));
  process.exit(1);
}
