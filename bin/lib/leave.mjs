/** Ends this process when whoever started it is gone: asked for by `--with-parent`. */
export function leaveWithParent() {
  if (!process.argv.includes('--with-parent')) return
  const parent = process.ppid
  setInterval(() => {
    if (process.ppid !== parent) process.exit(0)
  }, 1000).unref()
}
