// Packs the scripts and styles that were built as small as they can be; the server gives out what a browser reads.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'

const assets = 'dist/assets/'
for (const name of readdirSync(assets).filter((f) => /\.(js|css)$/.test(f))) {
  const content = readFileSync(assets + name)
  writeFileSync(assets + name + '.br', brotliCompressSync(content))
  writeFileSync(assets + name + '.gz', gzipSync(content, { level: 9 }))
}
