declare module 'wawoff2' {
  const woff2: { decompress(bytes: Uint8Array): Promise<Uint8Array> };
  export default woff2;
}
