package kolonne.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** What stands in somebody's way on pages as they are shown, in both themes. */
final class Accessible {
    /** The rules' own script, from the packages of the web pages. */
    private static String rules() throws IOException {
        return Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js"));
    }

    private final List<String> found = new ArrayList<>();
    private final Page page;

    Accessible(Page page) {
        this.page = page;
    }

    /** What was found so far, in words. */
    List<String> found() {
        return List.copyOf(found);
    }

    /** Looks at the page as it is now. @param page what it is called */
    void look(String page) throws IOException {
        for (String theme : List.of("light", "dark")) {
            // by script: the drawer of a change covers the button
            this.page.evaluate(
                    "t => document.documentElement.dataset.mode === t || document.querySelector('[aria-label=\"Change theme\"]').click()",
                    theme);
            this.page.waitForFunction("t => document.documentElement.dataset.mode === t", theme);
            look(page, theme);
        }
        keys(page);
    }

    private void look(String page, String theme) throws IOException {
        // colours are compared when nothing fades in any more
        this.page.waitForFunction("() => document.getAnimations().every(a => a.playState !== 'running')");
        if (Boolean.TRUE.equals(this.page.evaluate("() => !window.axe"))) {
            this.page.evaluate(rules());
        }
        Object violations = this.page.evaluate("""
                async only => (await axe.run(document, { resultTypes: ['violations'], ...(only.length ? { runOnly: only } : {}) })).violations
                  .map(v => v.id + ': '
                  + v.nodes.slice(0, 3).map(n => n.target.join(' ') + ' ' + (n.any[0] ?? n.all[0] ?? n.none[0])?.message).join(' | '))""", theme.equals("dark") ? List.of("color-contrast") : List.of());
        for (Object v : (List<?>) violations) {
            found.add(page + ", " + theme + ": " + v);
        }
    }

    /**
     * What answers a click is a control, holds one, or lies in one that keys move about in; else it says again what a list beside it does by keys: members
     * of the worklist, lifts of the stack, combinations and sets of their tables, a handle of its slider, Escape of its drawer.
     */
    private void keys(String page) {
        Object stuck = this.page.evaluate("""
                () => {
                  const focusable = 'button, a[href], input, select, textarea, summary, label, [tabindex]:not([tabindex="-1"])'
                  const again = 'svg[aria-label^="Plan of"], svg[aria-label^="Elevation on"], .joint-mark, .dot, .ant-slider-track, .ant-drawer-mask'
                  const props = e => e[Object.keys(e).find(k => k.startsWith('__reactProps$'))] ?? {}
                  const clicked = e => ['onClick', 'onMouseDown', 'onPointerDown', 'onDoubleClick'].some(k => props(e)[k])
                  return [...document.querySelectorAll('body *')]
                    .filter(e => clicked(e) && e.getClientRects().length > 0)
                    .filter(e => !e.closest(focusable) && !e.closest(again) && !e.querySelector(focusable))
                    .map(e => e.outerHTML.slice(0, 160))
                }""");
        for (Object e : (List<?>) stuck) {
            found.add(page + ": no key reaches " + e);
        }
    }
}
