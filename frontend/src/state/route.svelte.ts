import { BASE } from "../api/base";
/** The address is the place: `/`, `/cards/3/feel`; in practice the same below `/practice`. */

export { BASE } from "../api/base";
export const PRACTISING = BASE === "/practice";

const here = (): string => location.pathname.slice(BASE.length) || "/";

class Route {
  path = $state(here());

  constructor() {
    addEventListener("popstate", () => (this.path = here()));
  }

  go(path: string): void {
    if (path === this.path) return;
    history.pushState(null, "", BASE + path);
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
    // a link out of practice, or into it, is another page
    if (!link || link.target || link.rel === "external" || event.button) return;
    const apart = event.ctrlKey || event.metaKey || event.shiftKey;
    if (link.pathname.startsWith("/api/")) {
      // a file is the browser's own to fetch, in practice from the record of its own
      if (!BASE) return;
      event.preventDefault();
      location.assign(BASE + link.pathname);
      return;
    }
    if (apart && !BASE) return;
    event.preventDefault();
    if (apart) {
      open(BASE + link.pathname);
      return;
    }
    this.go(link.pathname);
    if (link.hash) this.toAnchor(link.hash.slice(1));
  };
}

export const route = new Route();
