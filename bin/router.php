<?php

/**
 * What PHP's own web server asks for every request (bin/demo and the tests; the folder is public/). Files go out in the small form that
 * was built beside them, and for good where their name changes with what is in them. Everything else is the application's.
 */

declare(strict_types=1);

const TYPES = [
    'js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'webmanifest' => 'application/manifest+json',
    'wasm' => 'application/wasm', 'tflite' => 'application/octet-stream', 'data' => 'application/octet-stream',
    'binarypb' => 'application/octet-stream', 'woff2' => 'font/woff2', 'png' => 'image/png', 'ico' => 'image/x-icon', 'txt' => 'text/plain',
];

$root = (string) getcwd();
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
// Lies with the build, and is asked for at the root so that it may serve every address.
$file = realpath($root.($path === '/sw.js' ? '/build/sw.js' : $path));
$type = TYPES[pathinfo((string) $file, PATHINFO_EXTENSION)] ?? null;
if ($file === false || $type === null || ! is_file($file) || ! str_starts_with($file, "{$root}/")) {
    require "{$root}/index.php";

    return;
}
$accepts = array_map(fn (string $each): string => trim(explode(';', $each)[0]), explode(',', $_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''));
$sent = $file;
foreach (['br' => '.br', 'gzip' => '.gz'] as $coding => $ending) {
    if (in_array($coding, $accepts, true) && is_file($file.$ending)) {
        header("Content-Encoding: {$coding}");
        $sent = $file.$ending;
        break;
    }
}
$tag = sprintf('"%x-%x"', filemtime($sent), filesize($sent));
header("Content-Type: {$type}".(str_starts_with($type, 'text/') ? '; charset=utf-8' : ''));
header('Vary: Accept-Encoding');
header("ETag: {$tag}");
header('X-Content-Type-Options: nosniff');
header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
    http_response_code(304);

    return;
}
header('Content-Length: '.filesize($sent));
if ($_SERVER['REQUEST_METHOD'] !== 'HEAD') {
    readfile($sent);
}
