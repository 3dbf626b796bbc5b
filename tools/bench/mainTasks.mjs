/** Tasks of the page's main thread in a trace: wall and processor time, ms. */
export function mainTasks(events) {
  const main = new Set(
    events
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid}.${tid}`),
  )
  return events
    .filter(({ name, ph, pid, tid }) => name === 'RunTask' && ph === 'X' && main.has(`${pid}.${tid}`))
    .map(({ dur = 0, tdur = 0 }) => ({ wall: dur / 1000, processor: tdur / 1000 }))
}
