<?php

// The router of PHP's own web server, for the browser tests: what is built is served as it lies, the rest by Laravel.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
if ($path !== '/' && is_file(dirname(__DIR__, 2)."/public$path")) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
require dirname(__DIR__, 2).'/public/index.php';
