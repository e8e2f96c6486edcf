import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import './app/theme.css';
import { followDevice, holdStrayClicks, showTheme, theme } from './ui';

showTheme(theme());
followDevice();
holdStrayClicks();
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
