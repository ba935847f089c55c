export default {
  plugins: {
    "postcss-preset-mantine": {},
    "postcss-simple-vars": {
      variables: {
        phone: "40em",
        tablet: "64.01em",
      },
    },
  },
};
