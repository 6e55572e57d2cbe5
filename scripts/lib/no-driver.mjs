// Stands in for the database driver while the application is built: nothing is asked of it then, and it may still be
// compiling beside the build.
import Module from 'node:module';

const load = Module._load;
Module._load = function (request, ...rest) {
  return request === 'sqlite3' ? { verbose: () => ({}), Database: class {} } : load.call(this, request, ...rest);
};
