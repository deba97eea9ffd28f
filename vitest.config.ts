import vue from '@vitejs/plugin-vue';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const FOLDER = 'resources/js';
const tests = readdirSync(FOLDER, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.test.ts'))
  .map((file) => `${FOLDER}/${file}`);
/** A module that one test replaces stays replaced for whoever comes after: such tests have a world of their own. */
const replacing = tests.filter((file) => readFileSync(file, 'utf8').includes('vi.mock('));

export default defineConfig({
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  test: {
    environment: 'happy-dom',
    setupFiles: ['resources/js/test/setup.ts'],
    projects: [
      {
        extends: true,
        test: { name: 'together', include: [`${FOLDER}/**/*.test.ts`], exclude: replacing, isolate: false },
      },
      { extends: true, test: { name: 'alone', include: replacing, isolate: true } },
    ],
  },
});
