<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>Mill Step</title></head>
<body>
    <h1>There is no such page here</h1>
    <p>Go back, or start again from <a href="/">the first page</a>. ({{ $exception->getStatusCode() }})</p>
</body>
</html>
