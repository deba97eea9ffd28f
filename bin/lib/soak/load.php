<?php

declare(strict_types=1);

// load.php URL FILE: keeps every web worker busy until FILE is there: forty pages at once, each asked for again as soon as it came.

[, $url, $file] = $argv;
$all = curl_multi_init();
$ask = static function () use ($all, $url): void {
    $call = curl_init("$url/api/people/me") ?: throw new RuntimeException;
    curl_setopt_array($call, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10, CURLOPT_PROXY => '']);
    curl_multi_add_handle($all, $call);
};
for ($n = 0; $n < 40; $n++) {
    $ask();
}
while (! is_file($file)) {
    curl_multi_exec($all, $running);
    while (($done = curl_multi_info_read($all)) !== false) {
        curl_multi_remove_handle($all, $done['handle']);
        $ask();
        // A server that is away refuses at once: it is not asked a thousand times a second.
        curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE) === 200 || usleep(5_000);
    }
    curl_multi_select($all, 0.05);
}
