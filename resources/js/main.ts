import '../css/app.css';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource/ibm-plex-mono/500.css';
import { VueQueryPlugin } from '@tanstack/vue-query';
import { createApp } from 'vue';
import App from './App.vue';
import { queryClient } from './api/queries';
import { i18n } from './i18n';
import { router } from './router';
import { applyTheme } from './ui/useTheme';

applyTheme();
createApp(App).use(i18n).use(router).use(VueQueryPlugin, { queryClient }).mount('#app');
