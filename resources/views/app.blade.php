<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="nonce" content="{{ Vite::cspNonce() }}">
    <title>Ordotype</title>
    <link rel="icon" href="{{ asset('mark.svg') }}" type="image/svg+xml">
    @vite('web/src/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Ordotype needs JavaScript.</noscript>
</body>
</html>
