/** `npm run passcode [owner|bench|viewer] [-- --remove]`: sets who may come in, or takes it away. See `serve/passcode.ts`. */
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, install, root } from './bootstrap.mjs';

process.env.WENDLE_DATA = resolve(process.env.WENDLE_DATA || join(root, 'data'));
install();
build();
/** @type {typeof import('../serve/passcode.ts')} */
const { run } = await import(pathToFileURL(join(root, 'build/tools/passcode.js')).href);
const { ok, said } = await run(process.argv.slice(2));
console[ok ? 'log' : 'error'](said);
process.exitCode = ok ? 0 : 1;
