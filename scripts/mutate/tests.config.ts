import { mergeConfig } from 'vite';
import base from '../../vite.config';
import { AREAS } from './areas.mjs';

const area = process.env['WENDLE_MUTATE'] as keyof typeof AREAS;

/** The tests of one area, without those that only repeat others with chance values. */
const config = mergeConfig(base, {
	test: { exclude: ['**/accepted.property.test.ts', '**/node_modules/**'] }
});
config.test.include = AREAS[area].tests;
export default config;
