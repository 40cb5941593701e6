<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#DFE5E1">
    <title>Cathedra</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <style>@layer cathedra-base;</style>
    @vite('resources/ts/main.ts')
</head>
<body>
<div id="app"
     @if (config('cathedra.demo')) data-demo-email="{{ Database\Seeders\DatabaseSeeder::EMAIL }}"
        data-demo-password="{{ Database\Seeders\DatabaseSeeder::PASSWORD }}" @endif
></div>
<noscript>Cathedra needs JavaScript. Please allow it for this page.</noscript>
</body>
</html>
