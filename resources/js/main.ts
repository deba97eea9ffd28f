import '../css/app.css';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource/ibm-plex-mono/500.css';
import { VueQueryPlugin } from '@tanstack/vue-query';
import { createApp } from 'vue';
import App from './App.vue';
import { queryClient } from './api/queries';
import { i18n, languageOfBrowser, speak } from './i18n';
import { router } from './router';
import { applyTheme } from './ui/useTheme';

applyTheme();
void speak(languageOfBrowser(), false);
createApp(App).use(i18n).use(router).use(VueQueryPlugin, { queryClient }).mount('#app');
