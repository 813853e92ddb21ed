/** Tells dependency-cruiser where $lib is: without it every aliased import would count as allowed. */
const path = require('node:path');
module.exports = { resolve: { alias: { $lib: path.resolve(__dirname, '../src/lib') } } };
