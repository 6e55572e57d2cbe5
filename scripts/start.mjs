import path from 'node:path';
import { main } from './lib/prepare.mjs';
import { serve } from './lib/serve.mjs';

await main(() => serve({ file: path.join(process.env.BOUNCY_ECHO_DATA ?? 'data', 'bouncy-echo.sqlite'), demo: false }));
