<?php

return [
    'channels' => [
        // What cannot be written to the log, because its disk takes nothing, must not stand between a person and an answer.
        'stack' => ['driver' => 'stack', 'channels' => ['daily'], 'ignore_exceptions' => true],
    ],
];
