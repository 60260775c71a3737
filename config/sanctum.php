<?php

return [
    // Sessions are the web guard's own affair; tokens are for scripts, and have no page or cookie of their own.
    'routes' => false,
    'guard' => [],
    'stateful' => [],
    'expiration' => null,
    'token_prefix' => 'ordo_',
];
