<template>
  <ShellLooking what="Methods are changed"><NuxtPage /></ShellLooking>
</template>
