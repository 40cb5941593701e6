<?php

// Front door of PHP's own server (bin/lib/common.sh, app_start): built assets with long caching and gzip, everything
// else to Laravel.

declare(strict_types=1);

$root = dirname(__DIR__, 2).'/public';
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = str_contains($path, "\0") ? false : realpath($root.$path);
$types = [
    'js' => 'text/javascript',
    'css' => 'text/css',
    'woff2' => 'font/woff2',
    'svg' => 'image/svg+xml',
    'json' => 'application/json',
    'txt' => 'text/plain',
    'ico' => 'image/x-icon',
];

// Where tests slow or cut the line of a page by the browser, its worker would still have one; who cuts it for both asks
// for the worker.
if ($path === '/sw.js' && getenv('CATHEDRA_OFFLINE') === 'false' && ! isset($_COOKIE['worker'])) {
    http_response_code(404);

    return true;
}
if (
    $file !== false &&
    is_file($file) &&
    str_starts_with($file, $root.'/') &&
    isset($types[($extension = pathinfo($file, PATHINFO_EXTENSION))])
) {
    header('Content-Type: '.$types[$extension]);
    header('X-Content-Type-Options: nosniff');
    header(
        str_starts_with($path, '/build/assets/')
            ? 'Cache-Control: public, max-age=31536000, immutable'
            : 'Cache-Control: no-cache',
    );
    if (str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip') && is_file($file.'.gz')) {
        header('Content-Encoding: gzip');
        header('Vary: Accept-Encoding');
        $file .= '.gz';
    }
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}

require $root.'/index.php';
