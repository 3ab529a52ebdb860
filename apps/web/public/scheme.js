/* global document, localStorage, matchMedia */
// Night or day before the first paint: what was chosen here, else what the machine says.
const chosen = localStorage.getItem('mui-mode');
const night = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
document.documentElement.dataset.theme = night ? 'dark' : 'light';
