<!DOCTYPE html>
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <title>Mill Step</title>
    <link rel="icon" type="image/svg+xml" href="/icon.svg">
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>Mill Step needs JavaScript to be switched on in this browser.</noscript>
</body>
</html>
