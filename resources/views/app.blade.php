<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
    <meta name="theme-color" content="#f5f6f2">
    <meta name="csp-nonce" content="{{ Vite::cspNonce() }}">
    <title>Augendo</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icons/apple-180.png">
    <link rel="manifest" href="/app.webmanifest">
    @vite('resources/app/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Augendo counts and stores on this device first, so it needs JavaScript. Switch it on and load the page again.</noscript>
</body>
</html>
