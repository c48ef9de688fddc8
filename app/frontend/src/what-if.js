// Trying out a cut: a field and its slider say the same; htmx asks for the figures, one question at a time and the newest last.
for (const form of document.querySelectorAll('[data-what-if]')) {
  const field = (name) => form.querySelector(`input[name=${name}]`);
  const wish = form.querySelector('select[name=wish]');
  form.addEventListener('input', ({ target }) => {
    if (target.dataset.rangeOf) field(target.dataset.rangeOf).value = target.value;
    const range = form.querySelector(`[data-range-of="${target.name}"]`);
    // A bare number of the bench's unit moves the slider as well.
    if (range && /^[0-9]+([.,][0-9]*)?$/.test(target.value)) range.value = target.value.replace(',', '.');
    if (target.name === 'wanted' && target.value) wish.value ||= 'RATIO';
  });
  form.addEventListener('keydown', (e) => {
    if (e.key !== 'Enter' || !e.target.matches('input:not([name=wanted])') || wish.value) return;
    e.preventDefault();
    window.htmx.trigger(form, 'ask');
  });
}
