/**
 * A document for the parts of the page: jsdom, put in place before anything looks for one. What the output needs was
 * loaded before it, as on a server.
 */
import '../output';
import globalJsdom from 'global-jsdom';

globalJsdom(undefined, { url: 'http://127.0.0.1/' });

// A clock or a channel that is left open would keep the process from ending.
Reflect.deleteProperty(globalThis, 'MessageChannel');

// What jsdom lacks and the page asks for.
Object.assign(globalThis, {
  IS_REACT_ACT_ENVIRONMENT: true,
  requestAnimationFrame: (frame: FrameRequestCallback) => setTimeout(() => frame(performance.now()), 16),
  cancelAnimationFrame: (id: number) => clearTimeout(id),
  ResizeObserver: class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
  matchMedia: () => ({ matches: false, addEventListener: () => undefined, removeEventListener: () => undefined }),
});

/**
 * No sheet of styles hides a part from those who hear the page: it is not there, or says so itself. jsdom would go
 * through every rule of every sheet for each name that is asked for, a quarter of the time of these tests.
 */
window.getComputedStyle = (element) => (element as HTMLElement).style;
