<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Mill Step</title>
</head>
<body>
@if ($exception->getStatusCode() >= 500)
    <h1>Mill Step is away for a moment</h1>
    <p>No machine is switched on meanwhile. Reload this page shortly; if it stays away,
        tell whoever looks after it. ({{ $exception->getStatusCode() }})</p>
@else
    <h1>There is no such page here</h1>
    <p>Go back, or start again from <a href="/">the first page</a>. ({{ $exception->getStatusCode() }})</p>
@endif
</body>
</html>
