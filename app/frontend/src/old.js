// In words that every browser knows: when the program of the page did not run, it is told instead of a page that keeps nothing.
if (!document.documentElement.hasAttribute('data-runs')) document.getElementById('old').hidden = false;
