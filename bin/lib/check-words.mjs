// Words: every t('…') with a plain key, or with one of several, has its words in English; every language has the same keys and the same terms;
// nothing of the core's own is said that the core does not know.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const faults = [];
const files = readdirSync('resources/js', { recursive: true, encoding: 'utf8' });
const flat = (node, path = '') =>
  Object.entries(node).flatMap(([key, value]) =>
    typeof value === 'string' ? [[`${path}${key}`, value]] : flat(value, `${path}${key}.`),
  );
const termsOf = (words) => [...new Set([...words.matchAll(/\{(\w+)\}/g)].map(([, term]) => term))].sort().join(' ');
const formsOf = (words) => words.split(' | ').length;

const languages = {};
for (const file of files.filter((each) => /locale[\\/]\w+\.json$/.test(each))) {
  const [, room, language] = file.match(/^(.*)[\\/]locale[\\/](\w+)\.json$/);
  for (const [key, words] of flat(JSON.parse(readFileSync(join('resources/js', file), 'utf8')))) {
    const known = ((languages[language] ??= {})[room] ??= {});
    if (words.trim() === '') faults.push(`${file}: ${key} is empty`);
    known[key] = words;
  }
}
const english = Object.assign({}, ...Object.values(languages.en));
for (const [language, rooms] of Object.entries(languages)) {
  for (const room of new Set([...Object.keys(rooms), ...Object.keys(languages.en)])) {
    const [here, there] = [rooms[room] ?? {}, languages.en[room] ?? {}];
    for (const key of new Set([...Object.keys(here), ...Object.keys(there)])) {
      if (here[key] === undefined) faults.push(`${room}/locale/${language}.json lacks ${key}`);
      else if (there[key] === undefined) faults.push(`${room}/locale/${language}.json alone has ${key}`);
      else if (termsOf(here[key]) !== termsOf(there[key]))
        faults.push(`${room}/locale/${language}.json, ${key}: terms ${termsOf(here[key])}, English has ${termsOf(there[key])}`);
      else if (formsOf(here[key]) !== formsOf(there[key])) faults.push(`${room}/locale/${language}.json, ${key}: number of forms`);
    }
  }
}
const has = (key) => english[key] !== undefined;
const roots = new Set(Object.keys(english).map((key) => key.split('.')[0]));
/** What stands between a parenthesis and the one that closes it. */
function inParens(source, from) {
  for (let at = from, deep = 0; at < source.length; at++) {
    if (source[at] === '(') deep++;
    else if (source[at] === ')' && --deep === 0) return source.slice(from, at);
  }
  return '';
}
for (const file of files.filter((each) => /\.(vue|ts)$/.test(each))) {
  const source = readFileSync(join('resources/js', file), 'utf8');
  for (const [, key] of source.matchAll(/\bt\(\s*'([\w.]+)'/g)) if (!has(key)) faults.push(`${file}: ${key}`);
  // One of two keys, or one of those below a place.
  for (const { index } of source.matchAll(/\bt\(/g)) {
    const call = inParens(source, index + 1);
    for (const [, key] of call.matchAll(/'([a-z]\w*(?:\.\w+)+)'/g))
      if (roots.has(key.split('.')[0]) && !has(key)) faults.push(`${file}: ${key}`);
    for (const [, place] of call.matchAll(/`([a-z]\w*(?:\.\w+)*\.)\$\{/g))
      if (!Object.keys(english).some((key) => key.startsWith(place))) faults.push(`${file}: ${place}…`);
  }
}
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exit(1);
}
