/** Of the files of `app/`, in the router's notation, those that an address shows: its layouts from the outermost, then its screen. */
export function filesOf(path: string, all: readonly string[]): string[] {
  const at = path.replace(/^\/|\/$/g, '');
  const shows = (file: string) => {
    const route = file.replace(/^\.\/|\.tsx$|\([^)]*\)\//g, '').replace(/(^|\/)index$/, '');
    return new RegExp(`^${route.replace(/\[\w+\]/g, '[^/]+')}$`).test(at);
  };
  const named = (file: string) => (file.includes('[') ? 1 : 0); // before those that any name shows
  const layout = /_layout\.tsx$/;
  const screens = all.filter((f) => !layout.test(f) && !f.startsWith('./+') && shows(f));
  const [screen] = screens.sort((a, b) => named(a) - named(b));
  const within = (file: string) => (screen ?? './').startsWith(file.replace(layout, ''));
  const layouts = all.filter((f) => layout.test(f) && within(f)).sort((a, b) => a.length - b.length);
  return [...layouts, screen ?? './+not-found.tsx'];
}
