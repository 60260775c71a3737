<?php

// Laravel's own, but for the key of a studio that was restored.
return [
    'key' => studio_in_use((string) env('ORDOTYPE_STUDIO', ''))['key'] ?? env('APP_KEY'),
];
