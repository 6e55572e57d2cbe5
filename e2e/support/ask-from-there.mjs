// Sends requests one after another and says what each got: run on another host, with the list on standard input.
import https from 'node:https';
import http from 'node:http';

let text = '';
for await (const piece of process.stdin) text += piece;
const { url, requests, pace } = JSON.parse(text);
const { protocol, hostname, port } = new URL(url);
const { request } = protocol === 'https:' ? https : http;

const ask = ({ method = 'GET', path = '/', headers = {}, body }) =>
  new Promise((resolve) => {
    const sent = request(
      { hostname, port, method, path, headers, rejectUnauthorized: false, agent: false, timeout: 15_000 },
      (response) => {
        const pieces = [];
        response.on('data', (piece) => pieces.push(piece));
        response.on('end', () =>
          resolve({
            status: response.statusCode,
            body: Buffer.concat(pieces).toString('utf8'),
            cookie: response.headers['set-cookie']?.[0] ?? null,
          }),
        );
        response.on('error', (error) => resolve({ status: 0, body: '', error: error.code ?? String(error) }));
      },
    );
    sent.on('upgrade', (_, socket) => (socket.destroy(), resolve({ status: 101, body: '' })));
    sent.on('timeout', () => sent.destroy(new Error('timeout')));
    sent.on('error', (error) => resolve({ status: 0, body: '', error: error.code ?? String(error) }));
    sent.end(body);
  });

const answers = [];
for (const one of requests) {
  answers.push(await ask(one));
  if (pace) await new Promise((resolve) => setTimeout(resolve, pace));
}
console.log(JSON.stringify(answers));
