import { createHash } from 'node:crypto';

/**
 * The page a tablet sees first. It takes the code out of its own address, or lets it be typed, and gives it for a key.
 * It loads nothing: what it needs stands in it.
 */

const STYLE = `
body { margin: 0; font: 20px/1.4 system-ui, sans-serif; background: #f7f1e3; color: #2b2a26; display: grid;
  min-height: 100vh; place-items: center }
main { max-width: 26rem; padding: 1.5rem }
h1 { font-size: 1.8rem; margin: 0 0 .5rem }
label { display: block; margin: 1rem 0 .3rem; font-weight: 700 }
input { font: inherit; width: 100%; box-sizing: border-box; padding: .7rem; border: 2px solid #6b675c;
  border-radius: .6rem; letter-spacing: .1em; text-transform: uppercase }
button { font: inherit; font-weight: 700; margin-top: 1rem; min-height: 3.5rem; padding: 0 1.4rem; border: 0;
  border-radius: .6rem; background: #25603b; color: #fff }
`;

const SCRIPT = `
const say=document.getElementById('say'),form=document.querySelector('form');
async function come(code){
  say.textContent='One moment …';
  let ok=false;
  try{
    const headers={'content-type':'application/json'};
    const r=await fetch('/come',{method:'POST',headers,body:JSON.stringify({code})});
    if(r.status===429){say.textContent='That was quick. Wait a moment, then try once more.';return}
    ok=r.ok;
  }catch{say.textContent='The computer doesn’t answer. Are both on the same network?';return}
  if(ok){location.replace('/');return}
  say.textContent='That code doesn’t fit, or it has been used. Ask for a new one on the computer.';
}
const code=location.hash.slice(1);
if(code){history.replaceState(null,'','/');come(code)}
form.addEventListener('submit',e=>{e.preventDefault();come(new FormData(form).get('code'))});
`;

const sum = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

export const DOOR_POLICY = [
  "default-src 'none'",
  `script-src ${sum(SCRIPT)}`,
  `style-src ${sum(STYLE)}`,
  "connect-src 'self'",
  "form-action 'none'",
  "base-uri 'none'",
  "frame-ancestors 'none'",
].join('; ');

export const DOOR_PAGE = `<!doctype html>
<html lang="en-GB"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1">
<title>Bouncy Echo on a tablet</title><style>${STYLE}</style></head>
<body><main><h1>Play it on this tablet</h1>
<p>Type the twelve letters that the computer shows. Spaces don’t matter.</p>
<form><label for="code">Letters</label>
<input id="code" name="code" autocomplete="off" autocapitalize="characters" spellcheck="false" required maxlength="60">
<button>Come in</button></form><p id="say" role="status"></p></main>
<script>${SCRIPT}</script></body></html>`;
