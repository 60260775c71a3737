<?php

return [
    // What stands between the browser and the application and says who really asks, with commas; nobody by default.
    'proxies' => array_values(array_filter(explode(',', (string) env('TRUSTED_PROXIES', '')))),
];
