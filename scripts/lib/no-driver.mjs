// Stands in for the compiled part of the database driver while the application is built: nothing is asked of it then,
// and it may still be compiling beside the build.
import Module from 'node:module';

const nothing = () => ({ Database: class {}, Statement: class {}, Backup: class {} });
const load = Module._load;
Module._load = function (request, parent, ...rest) {
  const isDriver = request === 'bindings' && parent?.filename?.includes('sqlite3');
  return isDriver ? nothing : load.call(this, request, parent, ...rest);
};
