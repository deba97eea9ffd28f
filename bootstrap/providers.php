<?php

return [
    App\Providers\MillStepServiceProvider::class,
];
