import { jsonError } from './json-error';

/** A file to keep: its text under its name, or a JSON error. */
export async function download(make: () => Promise<{ text: string; name: string }>, type: string): Promise<Response> {
  try {
    const { text, name } = await make();
    const plain = name.replace(/[^A-Za-z0-9._ -]/g, '') || 'file';
    return new Response(text, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  } catch (error) {
    return jsonError(error);
  }
}
