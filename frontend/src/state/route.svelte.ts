/** The address is the place: `/`, `/cards/3/feel`. */

class Route {
  path = $state(location.pathname);

  constructor() {
    addEventListener("popstate", () => (this.path = location.pathname));
  }

  go(path: string): void {
    if (path === this.path) return;
    history.pushState(null, "", path);
    this.path = path;
    scrollTo(0, 0);
  }

  /** Show a heading of the page, once it is there. */
  private toAnchor(id: string): void {
    setTimeout(() => document.getElementById(id)?.scrollIntoView(), 50);
  }

  /** Follow a link inside the application without loading the page again. */
  follow = (event: MouseEvent): void => {
    const link = (event.target as HTMLElement).closest<HTMLAnchorElement>("a[href^='/']");
    // a file is the browser's own to fetch
    if (!link || link.target || link.pathname.startsWith("/api/")) return;
    if (event.ctrlKey || event.metaKey || event.shiftKey || event.button) return;
    event.preventDefault();
    this.go(link.pathname);
    if (link.hash) this.toAnchor(link.hash.slice(1));
  };
}

export const route = new Route();
