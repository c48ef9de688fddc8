// Trying out a cut: every change asks the server for the figures; one question is under way at a time, and the newest is asked last.
import { put, state } from './server.js';

class WhatIf {
  constructor(form) {
    this.form = form;
    this.busy = false;
    this.again = false;
    this.field = (name) => form.querySelector(`input[name=${name}]`);
    form.querySelectorAll('[data-range-of]').forEach((range) => {
      const field = this.field(range.dataset.rangeOf);
      range.addEventListener('input', () => {
        field.value = range.value;
        this.ask();
      });
      // A bare number of the bench's unit moves the slider as well.
      field.addEventListener('input', () => {
        if (/^[0-9]+([.,][0-9]*)?$/.test(field.value)) range.value = field.value.replace(',', '.');
      });
    });
    form.querySelectorAll('input:not([type=range]):not([name=wanted])').forEach((field) => {
      field.addEventListener('input', () => this.ask());
      field.addEventListener('keydown', (e) => {
        if (e.key !== 'Enter' || form.querySelector('select[name=wish]').value) return;
        e.preventDefault();
        this.ask();
      });
    });
    form.querySelector('input[name=wanted]').addEventListener('input', (e) => {
      const wish = form.querySelector('select[name=wish]');
      if (e.target.value && !wish.value) wish.value = 'RATIO';
    });
  }

  async ask() {
    if (this.busy) {
      this.again = true;
      return;
    }
    this.busy = true;
    const asked = new URLSearchParams();
    for (const name of ['cut', 'other', 'gasket', 'deck', 'crown']) asked.set(name, this.field(name).value);
    try {
      const answer = await fetch(`${this.form.dataset.url}?${asked}`, { headers: { 'X-Keying': '1' }, redirect: 'manual' });
      const text = await answer.text();
      this.form.querySelector('.say').textContent = answer.status === 422 ? text : '';
      if (answer.ok) put(text);
      state(answer.ok || answer.status === 422 ? 'kept' : 'away');
    } catch {
      state('away');
    }
    this.busy = false;
    if (this.again) {
      this.again = false;
      this.ask();
    }
  }
}

document.querySelectorAll('[data-what-if]').forEach((form) => (window.whatIf = new WhatIf(form)));
